import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { listPoints } from "../design/linePoints";
import { buildMove, findPlaceMm } from "../design/moves";
import { findNode, findNodeId } from "../design/nodes";
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
        (_, index): MeasuredPart["part"] => {
          const node = findNodeId(line, index);
          return { kind: "bend", lineId: line.id, index, ...(node === null ? {} : { node }) };
        },
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
    const here = findMeasured(built, part);
    const at = here && findPlaceMm(built, here);
    const edit = here && at && buildMove(built, here, add(at, offMm));
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

/** A measured part as the design has it now: a bend is found by its node, wherever it is along the line; null if it is gone. */
export function findMeasured({ lines }: Pick<Design, "lines">, part: MeasuredPart["part"]): PartRef | null {
  if (part.kind !== "bend") return part;
  const line = lines.find(({ id }) => id === part.lineId);
  // a design whose nodes have no ids yet knows them by their place
  const hasIds = listPoints(line).some(({ id }) => id !== undefined);
  const index = hasIds ? findNode(line, toNode(part)) : part.index;
  return index < 0 ? null : { kind: "bend", lineId: part.lineId, index };
}

// When nodes got ids, the first of each line became n1, the second n2 and so on.
const toNode = ({ node, index }: Extract<MeasuredPart["part"], { kind: "bend" }>): string => node ?? `n${index + 1}`;

/** What a measured part is told apart by. */
export const toMeasuredKey = (part: MeasuredPart["part"]): string =>
  part.kind === "bend" ? `bend:${part.lineId}:${toNode(part)}` : Object.values(part).join(":");
