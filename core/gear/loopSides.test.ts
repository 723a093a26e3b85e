import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { gearDesigns } from "@/tests/gearArbitraries";
import { loopSystems } from "@/tests/loopSystems";
import type { Design } from "../design/design";
import type { LogEntry } from "../record/record";
import { buildGearGraph } from "./gearGraph";
import { listEveryHazard } from "./interlock";
import { listJoins } from "./joins";
import { listLoopCare } from "./loopCare";
import { computeLoopFigures } from "./loopFigures";
import { learnLoopWater } from "./loopWater";
import { buildArcs, findWays, standsOver } from "./reach";
import { toSetting } from "./settings";
import { computeTapFlows } from "./tapFlows";
import { computeBuildUp } from "./waterQuality";

const line = (entry: Partial<LogEntry> & Pick<LogEntry, "kind" | "at">): LogEntry => ({
  id: `${entry.at}${entry.kind}`,
  storeId: null,
  amount: null,
  note: "",
  ...entry,
});

test("a hose that comes off spills exactly where one of its ends is still fed when the hose is gone", () => {
  fc.assert(
    fc.property(loopSystems, (design) => {
      const told = new Set(
        listEveryHazard(design).flatMap(({ kind, from, stateId, failure }) =>
          kind === "spills" && failure?.kind === "hoseOff" ? [[stateId, from, failure.lineId].join("|")] : [],
        ),
      );
      for (const state of design.states) {
        for (const hose of design.lines) {
          if (hose.kind !== "hose") continue;
          const whole = buildGearGraph(design);
          const cut = { ...whole, links: whole.links.filter(({ id }) => id !== hose.id) };
          const off = whole.links.find(({ id }) => id === hose.id)!;
          const heightMm = Math.min(whole.nodes.get(off.from)!.atMm.z, whole.nodes.get(off.to)!.atMm.z);
          for (const source of whole.ends) {
            if (source.kind !== "tank" || !source.isEverWet) continue;
            const ways = findWays(cut, buildArcs(cut, toSetting(state)), source);
            const isFed = [off.from, off.to].some((node) => {
              const way = ways.get(node);
              return way !== undefined && (way.isDriven || standsOver(source, { heightMm, overSeaMm: Infinity }));
            });
            const key = [state.id, source.node, hose.id].join("|");
            expect([key, told.has(key)]).toEqual([key, isFed]);
          }
        }
      }
    }),
    { numRuns: 25 },
  );
});

test("a tap by itself gives no less than with all of them open", () => {
  fc.assert(
    fc.property(gearDesigns, ({ design }) => {
      const flows = computeTapFlows(design);
      expect(flows).toHaveLength(design.gear.filter(({ spec }) => spec.kind === "tap").length);
      for (const { aloneLpm, togetherLpm } of flows) expect(togetherLpm).toBeLessThanOrEqual(aloneLpm * 1.001 + 1e-6);
    }),
    { numRuns: 40 },
  );
});

test("waters that meet are told with what stands between, and only an air gap is enough", () => {
  expect(listJoins(readDemo("kranich"))).toEqual([]);
  const parted = listJoins(readDemo("kranich-loop"));
  expect(parted.find(({ tankId }) => tankId === "fresh")).toMatchObject({ category: 5, isEnough: false });
  expect(parted.find(({ tankId }) => tankId === "fresh")!.keptApartBy).toContain("motorvalve");
  const gapped = listJoins(readDemo("lesesaal-loop"));
  expect(gapped.length).toBeGreaterThan(0);
  expect(gapped.every(({ isEnough }) => isEnough)).toBe(true);
  fc.assert(
    fc.property(loopSystems, (design) => {
      // what fouls is joined; a join that is enough never fouls
      const joins = new Map(listJoins(design).map((join) => [[join.from, join.to].join("|"), join]));
      for (const { kind, from, to } of listEveryHazard(design)) {
        if (kind === "fouls") expect(joins.get([from, to].join("|"))).toMatchObject({ isEnough: false });
      }
      // the gap of these lies so that "other" falls into the first tank: the wrong way round where "other" is foul
      for (const { keptApartBy, turnedGaps, water, from } of joins.values()) {
        const isGap = design.gear.some(({ id, spec }) => id === "guard" && spec.kind === "airGap");
        if (isGap && [...keptApartBy, ...turnedGaps].includes("guard"))
          expect(turnedGaps).toEqual(water === "loop" && from === "tank:other:p" ? ["guard"] : []);
      }
    }),
    { numRuns: 25 },
  );
});

test("tests of the water move what a shower sheds to what they read, the more of them the nearer", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 3, noNaN: true }),
      fc.integer({ min: 1, max: 12 }),
      fc.double({ min: 15, max: 60, noNaN: true }),
      (share, n, loopL) => {
        const log = Array.from({ length: n }, (_, i): LogEntry[] => {
          const day = `2026-05-${String(i + 1).padStart(2, "0")}`;
          return [
            line({ kind: "loopChange", at: `${day}T08:00` }),
            line({ kind: "showers", amount: 4, at: `${day}T09:00` }),
            line({ kind: "waterTest", at: `${day}T10:00`, amount: computeBuildUp(2 * share, loopL, 0.1, 4) * 1000 }),
          ];
        }).flat();
        const learnt = learnLoopWater(log, { loopL, renewedShare: 0.1 }, null);
        expect(learnt.tests).toBe(n);
        expect(learnt.shedShare).toBeCloseTo((2 + n * share) / (2 + n), 9);
      },
    ),
  );
});

test("a test without a shower before it teaches nothing, and what sheds more is changed no later", () => {
  const log = [line({ kind: "waterTest", at: "2026-05-01T08:00", amount: 900 })];
  expect(learnLoopWater(log, { loopL: 30, renewedShare: 0.1 }, null)).toEqual({
    shedShare: 1,
    tests: 0,
    unused: 1,
    last: null,
  });
  const after = [
    line({ kind: "showers", at: "2026-05-01T07:00", amount: 3 }),
    line({ kind: "dump", at: "2026-05-01T07:30", storeId: "loop" }),
    ...log,
  ];
  expect(learnLoopWater(after, { loopL: 30, renewedShare: 0.1 }, "loop").unused).toBe(1);
  const design = readDemo("kranich-loop");
  const showers = [0.5, 1, 2, 5, 40].map((share) => computeLoopFigures(design, 8, share)!.showers);
  expect(showers).toEqual([...showers].sort((a, b) => b - a));
  expect(showers.at(-1)).toBe(0);
});

test("filters are met from coarse to fine, carbon comes out before bleach, and the bleach is for the whole loop", () => {
  for (const name of ["kranich-loop", "lesesaal-loop"] as const) {
    const care = listLoopCare(readDemo(name))!;
    const microns = care.filters.map(({ spec }) => (spec.kind === "filter" ? spec.micron : 0));
    expect(microns).toEqual([20, 5, 1]);
    expect(care.carbon!.spec).toMatchObject({ medium: expect.stringMatching(/carbon|block/) });
    // 50 mg/L of 5 % bleach: 1 mL a litre
    expect(care.bleachMl).toBeCloseTo(care.volumeL, 6);
  }
  expect(listLoopCare(readDemo("kranich"))).toBeNull();
});

test("a non-return with water at its outlet only is the wrong way round", async () => {
  const { evaluate } = await import("../evaluate/evaluate");
  const design = readDemo("otter-heads");
  const told = (one: Design) => evaluate(one).findings.filter(({ code }) => code === "nonReturnAgainst").length;
  const loops = readDemo("kranich-loop");
  expect(told(design) + told(loops)).toBe(0);
  const guard = loops.gear.find(({ spec }) => spec.kind === "nonReturn")!;
  const turned: Design = {
    ...loops,
    lines: loops.lines.map((hose) => {
      if (hose.kind !== "hose") return hose;
      const turn = (end: typeof hose.from) =>
        end.kind === "gear" && end.gearId === guard.id ? { ...end, port: end.port === "in" ? "out" : "in" } : end;
      return { ...hose, from: turn(hose.from), to: turn(hose.to) };
    }),
  };
  expect(told(turned)).toBe(1);
});

test("what a shower renews is what it loses: a tenth of the water it uses, so more builds up in a large loop on short showers", () => {
  const design = readDemo("kranich-loop");
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 60, noNaN: true }), (minutes) => {
      const { freshL, lostL, loopL, renewedShare } = computeLoopFigures(design, minutes)!;
      expect(lostL).toBeCloseTo(0.1 * freshL, 9);
      expect(renewedShare).toBeLessThanOrEqual(0.1);
      expect(renewedShare * loopL).toBeLessThanOrEqual(lostL + 1e-9);
    }),
    { numRuns: 40 },
  );
});
