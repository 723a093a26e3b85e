import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Drain, Hose } from "../design/plumbing";
import { releaseOf } from "../falls/network";
import { listHoseCourse } from "../fit/lineLegs";
import { computeHoseLossPa } from "../gear/hoseLoss";
import { computePumpPa } from "../gear/linkLoss";
import { USUAL_GEAR } from "../gear/usualGear";
import { measureHoseRun } from "./hoseRun";
import { listOutHoses, solveLift } from "./lift";
import { computeSurgeL, listSumps } from "./sumpFigures";

const otter = readDemo("otter-heads");
const basin = otter.fixtures.find(({ id }) => id === "basin")!;
const drainOf = (id: string) =>
  otter.lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === id)!;
const withBowl = (bowlL: number, changes: Partial<typeof basin> = {}): Design => ({
  ...otter,
  fixtures: otter.fixtures.map((one) => (one === basin ? { ...one, volumePerUseL: bowlL, ...changes } : one)),
});
const surgeOf = (design: Design) => listSumps(design)[0]!.surge;

test("8 L let go at 0.8 L/s against a pump of 0.45 leave 1.53 L; against one as quick, nothing; against none, all of it", () => {
  expect(computeSurgeL(8, 0.8, 0.45)).toBeCloseTo(1.53, 2);
  expect(computeSurgeL(8, 0.8, 0.8)).toBe(0);
  expect(computeSurgeL(8, 0.8, 2)).toBe(0);
  expect(computeSurgeL(8, 0.8, 0)).toBe(8);
  expect(computeSurgeL(8, 0.8, -0.1)).toBe(8);
});

test("an upright bowl stepped empty, its flow with the root of its depth, against a pump that runs: the same litres", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 60, noNaN: true }),
      fc.double({ min: 0.1, max: 2, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (bowlL, flowLps, share) => {
        const pumpLps = share * flowLps;
        const step = bowlL / flowLps / 4_000;
        let [left, risen, most] = [bowlL, 0, 0];
        while (left > 1e-9) {
          const q = flowLps * Math.sqrt(left / bowlL);
          const gone = Math.min(left, q * step);
          left -= gone;
          risen = Math.max(0, risen + gone - pumpLps * step);
          most = Math.max(most, risen);
          if (q < pumpLps) break;
        }
        expect(Math.abs(most - computeSurgeL(bowlL, flowLps, pumpLps))).toBeLessThan(0.004 * bowlL);
      },
    ),
    { numRuns: 60 },
  );
});

test("a bowl that its sump cannot take at once is told with its litres; with a larger box, or run out slowly, it is not", () => {
  expect(surgeOf(otter)).toMatchObject({ fixtureId: "basin", bowlL: basin.volumePerUseL });
  expect(isSaid(otter, "sumpSurges")).toBe(false);
  const full = withBowl(40);
  const [sump] = listSumps(full);
  const shower = otter.fixtures.find(({ id }) => id === "showertray")!;
  const flow = releaseOf(drainOf("basin"), basin);
  const rises = computeSurgeL(40, flow, sump!.pumpLpm! / 60 - shower.inflowLps);
  expect(sump!.surge!.risesL).toBeCloseTo(rises, 9);
  // 12 L of box, and 9.1 L under its float
  expect(sump!.surge!.roomL).toBeCloseTo(12 - 9.1, 9);
  expect(findAll(full, "sumpSurges")).toMatchObject([
    { fixtureName: basin.name, bowlL: 40, roomL: sump!.surge!.roomL },
  ]);
  // just what it takes is silent
  const least = (40 * sump!.surge!.roomL) / rises;
  expect(isSaid(withBowl(least - 0.01), "sumpSurges")).toBe(false);
  expect(isSaid(withBowl(least + 0.01), "sumpSurges")).toBe(true);
  expect(surgeOf(withBowl(40, { hasPlug: false }))).toBeNull();
  // used alone, no shower runs into it meanwhile
  expect(surgeOf(withBowl(40, { runsAlone: true }))!.risesL).toBeLessThan(rises);
});

test("what the pump sends is where its curve meets the lift, the hoses, the pieces in them, and what opens a non-return", () => {
  const hoses = listOutHoses(otter, "sump");
  const lpm = solveLift(otter, hoses, 805)!;
  const ids = new Set(
    hoses.flatMap(({ from, to }) => [from, to].flatMap((end) => (end.kind === "gear" ? [end.gearId] : []))),
  );
  const spare = (design: Design, those: readonly Hose[], at: number): number => {
    const pump = design.gear.find(({ id }) => id === "sump-pump")!.spec;
    if (pump.kind !== "pump") throw new Error("no pump");
    let pa = computePumpPa(pump, at / 60_000) - 998.2 * 9.80665 * 0.805;
    for (const hose of those)
      pa -= computeHoseLossPa(at / 60_000, {
        boreMm: hose.pipe.innerMm,
        lengthMm: measureHoseRun(design, hose).lengthMm,
        lossK: 1.5,
      });
    for (const { id, spec } of design.gear) {
      if (!ids.has(id) && id !== "flap") continue;
      if ("dropKPa" in spec) pa -= spec.dropKPa * 1000 * (at / spec.atLpm) ** 2;
      if (spec.kind === "nonReturn") pa -= spec.crackKPa * 1000;
    }
    return pa;
  };
  expect(Math.abs(spare(otter, hoses, lpm))).toBeLessThan(1);
  const [rising] = hoses.filter(({ from }) => from.kind === "gear" && from.gearId === "sump-pump");
  const at = listHoseCourse(otter, rising!)[0]!;
  const flap: Gear = { id: "flap", name: "Flap", atMm: at, ...USUAL_GEAR.nonReturn };
  const split = otter.lines.flatMap((line) =>
    line !== rising
      ? [line]
      : [
          { ...rising, to: { kind: "gear" as const, gearId: "flap", port: "in" }, pointsMm: [] },
          { ...rising, id: "behind", from: { kind: "gear" as const, gearId: "flap", port: "out" } },
        ],
  );
  const flapped: Design = { ...otter, gear: [...otter.gear, flap], lines: split };
  const those = listOutHoses(flapped, "sump");
  const less = solveLift(flapped, those, 805)!;
  expect(Math.abs(spare(flapped, those, less))).toBeLessThan(1);
  expect(less).toBeLessThan(lpm);
});
