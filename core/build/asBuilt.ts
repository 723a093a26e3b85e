import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { buildMove, findPlaceMm } from "../design/moves";
import type { PartRef } from "../design/part";
import { evaluate } from "../evaluate/evaluate";
import type { AtWorst } from "../evaluate/evaluation";
import type { Finding } from "../evaluate/findings";
import type { FallBudget } from "../falls/fallBudget";
import { add } from "../geometry/vec";
import type { MeasuredPart } from "../record/record";

/** A part a builder measures after it sits: where water leaves a fixture, a tank, its ports, the bends of drains, breathers and dump lines. */
export function listMeasurable({ fixtures, tanks, lines }: Design): MeasuredPart["part"][] {
  return [
    ...fixtures.map(({ id }) => ({ kind: "fixture", id }) as const),
    ...tanks.flatMap((tank) => [
      { kind: "tank", id: tank.id } as const,
      ...tank.ports.map(({ id }) => ({ kind: "port", tankId: tank.id, id }) as const),
    ]),
    ...lines.flatMap((line) =>
      (line.kind === "drain" ? line.bendsMm : line.kind === "hose" ? [] : line.pointsMm).map(
        (_, index) => ({ kind: "bend", lineId: line.id, index }) as const,
      ),
    ),
  ];
}

export type AsBuilt = {
  readonly design: Design;
  /** What could not be moved, because it is gone or locked or would not stand. */
  readonly lost: readonly MeasuredPart["part"][];
};

/** The design with everything where it was measured. A tank takes what sits on it along, so tanks come first. */
export function buildAsBuilt(design: Design, measured: readonly MeasuredPart[]): AsBuilt {
  const lost: MeasuredPart["part"][] = [];
  const sorted = [...measured].sort((a, b) => Number(b.part.kind === "tank") - Number(a.part.kind === "tank"));
  let built = design;
  for (const { part, offMm } of sorted) {
    const at = findPlaceMm(built, part);
    const edit = at && buildMove(built, part, add(at, offMm));
    const outcome = edit && applyEdit(built, edit);
    if (outcome?.ok) built = outcome.design;
    else lost.push(part);
  }
  return { design: built, lost };
}

export type AsBuiltVerdict = {
  readonly drains: readonly {
    readonly lineId: string;
    readonly plannedMm: number;
    readonly builtMm: number;
    readonly worst: AtWorst<FallBudget>;
  }[];
  /** What is found against the rig as it is that was not found against the drawing, worst first. */
  readonly findings: readonly Finding[];
};

/** The falls at their worst, drawn and as they came to be, and what is newly wrong [C]. */
export function judgeAsBuilt(design: Design, built: Design): AsBuiltVerdict {
  const [planned, now] = [evaluate(design), evaluate(built)];
  const known = new Set(planned.findings.map(({ id }) => id));
  return {
    drains: now.drains.flatMap(({ lineId, worst }) => {
      const before = planned.drains.find((drain) => drain.lineId === lineId);
      return before ? [{ lineId, plannedMm: before.worst.inHandMm, builtMm: worst.inHandMm, worst }] : [];
    }),
    findings: now.findings.filter(({ id }) => !known.has(id)),
  };
}

/** What a measured part is told apart by. */
export const toMeasuredKey = (part: PartRef): string => Object.values(part).join(":");
