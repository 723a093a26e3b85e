import { listCuts } from "@/core/build/cuts";
import { settleOwnWork } from "@/core/build/ownSteps";
import { takeDrawn } from "@/core/build/redrawn";
import { listSteps, orderSteps } from "@/core/build/steps";
import type { Design } from "@/core/design/design";
import { toLegKey } from "@/core/design/nodes";
import type { Evaluation } from "@/core/evaluate/evaluation";
import { listLineLegs } from "@/core/fit/lineLegs";
import { listDrainDown } from "@/core/frost/drainDown";
import { listSpringUp } from "@/core/frost/springUp";
import type { BuildRecord, DrawnStep } from "@/core/record/record";
import { listHoles } from "@/core/through/holes";
import { speakFor } from "./afloat";
import { describeStep, tellStep } from "./build";
import { sayBeforeDrilling } from "./cautions";
import { describeCutLength } from "./cuts";
import { describeDrainDown, describeSpringStep } from "./frost";
import { DRILL_FROM, describeHole, describeSaw } from "./holes";
import { describePipe } from "./parts";
import { listHoleFigures, listStepFigures } from "./stepFigures";
import { formatLength, formatQuantity, type Units } from "./units";
import { tellUnsettled } from "./unsettled";

export const UNDER_GROUPS = ["steps", "holes", "legs", "frost", "spring"] as const;
export type UnderGroup = (typeof UNDER_GROUPS)[number];

/** One thing at a time for a phone under the floor: written out here, so that the phone's page works nothing out. */
export type UnderCard = {
  readonly id: string;
  readonly group: UnderGroup;
  readonly title: string;
  /** Large figures with what they are. */
  readonly figures: readonly (readonly [string, string])[];
  readonly text: string;
  /** What is to be settled before it is done; not said in older sheets. */
  readonly hold?: string;
  /** What a step is drawn like, so that a tick can say what it was done by. */
  readonly drawn?: DrawnStep;
  /** The fall a pipe should have, mm/m, for the level; null where there is none. */
  readonly slopeMmPerM: number | null;
};

/** A design's cards and what it is called. */
export type UnderSheet = {
  readonly designId: string;
  readonly name: string;
  /** Of whoever wrote them out; older sheets do not say and are metric. */
  readonly units?: Units;
  readonly cards: readonly UnderCard[];
};

const card = (group: UnderGroup, key: string, given: Pick<UnderCard, "title"> & Partial<UnderCard>): UnderCard => ({
  figures: [],
  text: "",
  slopeMmPerM: null,
  ...given,
  id: `${group}:${key}`,
  group,
});

/** Steps, holes, legs of drains and dump lines, and the ways before and after frost of a design as cards, in the order they are worked. */
export function writeUnderCards(
  design: Design,
  evaluation: Evaluation,
  units: Units,
  build: Pick<BuildRecord, "steps" | "rules" | "order"> = {},
): UnderSheet {
  const length = (mm: number) => formatLength(mm, units);
  const say = speakFor(design.rig.kind);
  const listed = settleOwnWork(listSteps(design, evaluation), build).steps;
  const order = orderSteps(listed, build.order);
  const tell = tellUnsettled(design, listed, evaluation.findings, units);
  const holdOf = (stepId: string): Pick<UnderCard, "hold"> => {
    const hold = tell(stepId);
    return hold === "" ? {} : { hold };
  };
  const steps = (order.ok ? order.steps : []).map((step) => {
    const { tools, caution } = tellStep(step, design);
    const text = `With ${tools}.${caution ? ` ${caution}` : ""}`;
    const figures = listStepFigures(step, { design, evaluation, units });
    const drawn = takeDrawn(step, design, evaluation);
    return card("steps", step.id, {
      title: describeStep(step, design),
      figures,
      text,
      ...holdOf(step.id),
      ...(drawn ? { drawn } : {}),
    });
  });
  const holes = listHoles(design, evaluation).map((hole, i) =>
    card("holes", hole.id, {
      title: `H${i + 1}: ${describeHole(hole, design)}`,
      figures: listHoleFigures(hole, units).map(([what, figure]) => [say(what), figure]),
      text: `With ${describeSaw(hole.saw)}, ${DRILL_FROM[hole.drillFrom]}. ${sayBeforeDrilling(design.rig.kind)}`,
      ...holdOf(`drillHole:${hole.id}`),
    }),
  );
  const lineOf = new Map(design.lines.map((line) => [line.id, line]));
  const laid = [
    ...evaluation.drains.map(({ lineId, legs: all, ownLegs }) => ({ lineId, legs: all.slice(0, ownLegs) })),
    ...design.lines.flatMap((line) =>
      line.kind === "dumpLine" ? [{ lineId: line.id, legs: listLineLegs(design, line) }] : [],
    ),
  ];
  const cuts = new Map(listCuts(design).map((cut) => [`${cut.lineId} ${cut.leg}`, cut]));
  const legs = laid.flatMap(({ lineId, legs: own }) => {
    const line = lineOf.get(lineId);
    return own.map((leg) => {
      const fall = leg.from.z - leg.to.z;
      const slope = leg.planLengthMm > 0 ? (fall / leg.planLengthMm) * 1000 : null;
      // a piece that goes on through a point is sawn with the leg it begins on
      const cut = cuts.get(`${lineId} ${leg.index}`);
      return card("legs", `${lineId}-${toLegKey(line, leg.index)}`, {
        title: `${line?.name ?? lineId}, leg ${leg.index + 1}`,
        figures: [
          ["middles", length(leg.lengthMm)],
          ...(cut ? ([["saw", describeCutLength(cut, units)]] as const) : []),
          ["falls", length(fall)],
          ...(leg.kind === "run" && slope !== null
            ? ([["slope", formatQuantity(slope, "slope", units)]] as const)
            : []),
        ],
        text: `${describePipe(leg.pipe, units)}. Hold it up, saw it, clip it: no sag.`,
        slopeMmPerM: leg.kind === "run" && slope !== null ? Math.round(slope * 10) / 10 : null,
        ...holdOf(`${line?.kind === "dumpLine" ? "layDumpLine" : "layDrain"}:${lineId}`),
      });
    });
  });
  const frost = listDrainDown(design, evaluation).map((step, i) =>
    card("frost", String(i), { title: describeDrainDown(step, design, units) }),
  );
  const spring = listSpringUp(design, evaluation).map((step, i) =>
    card("spring", String(i), { title: describeSpringStep(step, design, units) }),
  );
  return { designId: design.id, name: design.name, units, cards: [...steps, ...holes, ...legs, ...frost, ...spring] };
}
