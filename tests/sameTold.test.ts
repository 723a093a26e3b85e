import "@/core/evaluate/fitted";
import fc from "fast-check";
import { listGoods } from "@/core/build/goods";
import { listSteps } from "@/core/build/steps";
import { listWires, readSupply } from "@/core/build/wiring";
import { summarize } from "@/core/compare/summary";
import type { Design } from "@/core/design/design";
import { parseDesign } from "@/core/design/parseDesign";
import { evaluate } from "@/core/evaluate/evaluate";
import { listDrainDown } from "@/core/frost/drainDown";
import { listFrostParts } from "@/core/frost/frostParts";
import { listSpringUp } from "@/core/frost/springUp";
import { computeLoopRhythm } from "@/core/gear/loopRhythm";
import { listSumps } from "@/core/heads/sumpFigures";
import { listHoles } from "@/core/through/holes";
import { listWorkings } from "@/core/workings/listWorkings";
import { listGoodsRows } from "@/words/goods";
import { mirrorDesign } from "./arbitraries";
import { lengthen, standBeside } from "./beside";
import { ALL_DEMOS } from "./demoRigs";

type Next = () => number;
const shuffle = <T>(list: readonly T[], next: Next): T[] =>
  list
    .map((one) => [next(), one] as const)
    .sort(([a], [b]) => a - b)
    .map(([, one]) => one);

/** The same rig, written down in another order. */
function rewrite(design: Design, next: Next): Design {
  const mix = <T>(list: readonly T[]) => shuffle(list, next);
  const { lines, tanks, states, habits, rig } = design;
  return {
    ...design,
    rig: { ...rig, standings: mix(rig.standings) },
    fixtures: mix(design.fixtures),
    gear: mix(design.gear),
    obstacles: mix(design.obstacles),
    tanks: mix(tanks).map((tank) => ({ ...tank, ports: mix(tank.ports) })),
    lines: mix(lines).map((line) => (line.kind === "drain" ? { ...line, items: mix(line.items) } : line)),
    states: mix(states).map(({ on, positions, openTaps, ...state }) => ({
      ...state,
      on: mix(on),
      positions: mix(positions),
      openTaps: mix(openTaps),
    })),
    habits: {
      ...habits,
      people: mix(habits.people),
      vessels: mix(habits.vessels),
      ways: mix(habits.ways).map((way) => ({ ...way, uses: mix(way.uses) })),
    },
  };
}

// Sums in another order differ in their last digits; lists of ids that are said together have no order.
function round(value: unknown): unknown {
  if (typeof value === "number") return Number(value.toPrecision(7));
  if (Array.isArray(value)) return value.map(round);
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [
      key,
      key === "gearIds" || key === "tankIds" || key === "after" ? [...(one as string[])].sort() : round(one),
    ]),
  );
}
const asSet = (list: Iterable<unknown>): string[] => [...list].map((one) => JSON.stringify(round(one))).sort();

/** What a builder would go by. */
function tellAll(design: Design): Record<string, unknown> {
  const evaluation = evaluate(design);
  const { drains: _, findings: __, stores: ___, ...summary } = summarize(design) as unknown as Record<string, unknown>;
  return {
    findings: asSet(
      evaluation.findings.map(({ code, severity, at }) => [code, severity, "lineId" in at ? at.lineId : at]),
    ),
    days: asSet(evaluation.balance.stores),
    ends: round(evaluation.balance.endsBy),
    drains: asSet(evaluation.drains.map(({ lineId, level, worst, trapRisks }) => [lineId, level, worst, trapRisks])),
    summary: round(summary),
    goods: asSet(listGoodsRows(listGoods(design, evaluation), design, "all", "metric").flatMap(({ rows }) => rows)),
    steps: asSet(listSteps(design, evaluation).map(({ id, after }) => ({ id, after }))),
    holes: asSet(listHoles(design, evaluation)),
    wires: asSet(listWires(design)),
    drainDown: asSet(listDrainDown(design, evaluation)),
    springUp: asSet(listSpringUp(design, evaluation)),
    frost: round(listFrostParts(design, evaluation, 0.5)),
    loop: round(computeLoopRhythm(design)),
    sumps: asSet(listSumps(design)),
    workings: asSet(listWorkings(design, evaluation)),
  };
}

/** What no side comes into; of the rest signs and faces change places. */
const SIDELESS = ["findings", "days", "ends", "goods", "steps", "drainDown", "springUp", "frost", "loop", "sumps"];

test("with left and right exchanged a rig is told the same, with the same to buy and to do", () => {
  for (const drawn of ALL_DEMOS) {
    // where its battery is not said it stands on the usual side, in a mirrored rig too
    const design = { ...drawn, rig: { ...drawn.rig, supply: readSupply(drawn) } };
    const [one, other] = [tellAll(design), tellAll(mirrorDesign(design))];
    for (const what of SIDELESS) expect([design.id, what, other[what]]).toEqual([design.id, what, one[what]]);
  }
});

test("a second set of waters in the same rig takes away nothing that is told of the first, whichever stands first in the file", () => {
  // of the rig as a whole, and what touches a ramp first, both together may be told otherwise
  const tell = (design: Design) =>
    evaluate(design).findings.flatMap(({ code, severity, at }) =>
      ["rig", "habits", "store"].includes(at.kind) || code === "touchesRamp"
        ? []
        : [JSON.stringify([code, severity, "lineId" in at ? at.lineId : at])],
    );
  for (const design of ALL_DEMOS)
    for (const isFirst of [true, false]) {
      const both = standBeside(design, isFirst);
      expect(parseDesign(both)).toMatchObject({ ok: true });
      const now = new Set(tell(both));
      expect([design.id, isFirst, tell(lengthen(design)).filter((one) => !now.has(one))]).toEqual([
        design.id,
        isFirst,
        [],
      ]);
    }
});

test("in which order a file lists its parts, states and habits changes nothing a builder goes by", () => {
  const told = new Map(ALL_DEMOS.map((design) => [design.id, tellAll(design)]));
  fc.assert(
    fc.property(fc.infiniteStream(fc.nat()), (stream) => {
      for (const design of ALL_DEMOS) {
        const other = tellAll(rewrite(design, () => stream.next().value));
        for (const [what, is] of Object.entries(other))
          expect([design.id, what, is]).toEqual([design.id, what, told.get(design.id)![what]]);
      }
    }),
    { numRuns: 6 },
  );
});
