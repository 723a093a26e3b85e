import fc from "fast-check";
import { attitudes, networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { computeUp, LEVEL } from "../attitude/attitude";
import { findBranchVent, findTrap, toBeginning, withBranchVent } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildDrainPath, type DrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { dot, measureLength, subtract, type Vec3 } from "../geometry/vec";
import { computeBoreFallMm, computeTrapArm, measureArmFallMm } from "./trapArm";

const toPaths = (design: Parameters<typeof buildNetwork>[0]): DrainPath[] => {
  const network = buildNetwork(design);
  return design.lines.flatMap((line) => (line.kind === "drain" ? [buildDrainPath(design, line, network)] : []));
};

/** Where a walk along the pipe meets the first air: every drain's own vent counts from that drain's own weir. */
function walkToAirMm(path: DrainPath): number {
  let ownStartMm = 0;
  for (const [i, line] of path.chain.entries()) {
    const ownMm = path.legs.filter((leg) => leg.lineId === line.id).reduce((sum, { lengthMm }) => sum + lengthMm, 0);
    // on a drain that is joined half way, what lies before the junction is not walked
    const air = findBranchVent(line);
    if (air) return ownStartMm + Math.max(0, air.fromWeirMm - path.enteredAtMm[i]!);
    ownStartMm += ownMm;
  }
  return Number.POSITIVE_INFINITY;
}

/** The points of the way from the weir to the air, the last one cut to where the air is. */
function cutToAir(path: DrainPath): Vec3[] {
  let leftMm = walkToAirMm(path);
  const points = [path.legs[0]!.from];
  for (const { from, to } of path.legs) {
    const length = measureLength(subtract(to, from));
    if (length === 0) continue;
    if (leftMm <= 0) break;
    const share = Math.min(1, leftMm / length);
    points.push({
      x: from.x + (to.x - from.x) * share,
      y: from.y + (to.y - from.y) * share,
      z: from.z + (to.z - from.z) * share,
    });
    leftMm -= length;
  }
  return points;
}

test("length, fall and steepest slope to the air are those of a walk along the pipe, at the worst of the attitudes", () => {
  fc.assert(
    fc.property(networks, fc.array(attitudes, { minLength: 1, maxLength: 4 }), (design, standings) => {
      for (const path of toPaths(design)) {
        const way = cutToAir(path);
        const arm = computeTrapArm(path, standings);
        const steps = way.slice(1).map((p, i) => subtract(p, way[i]!));
        expect(arm.lengthMm).toBeCloseTo(
          steps.reduce((sum, step) => sum + measureLength(step), 0),
          6,
        );
        expect(measureArmFallMm(path)).toBeCloseTo(way[0]!.z - way.at(-1)!.z, 6);
        const slopes = standings.map((attitude) => {
          const up = computeUp(attitude);
          const falls = steps.map((step) => -dot(up, step));
          const levels = steps.map((step, i) => Math.sqrt(Math.max(0, measureLength(step) ** 2 - falls[i]! ** 2)));
          const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
          return sum(falls) / sum(levels);
        });
        const steepest = Math.max(...slopes);
        if (!Number.isFinite(steepest) || arm.slope === null || arm.lengthMm < 1) continue;
        expect(arm.slope).toBeCloseTo(steepest, 6);
        expect(slopes[standings.indexOf(arm.steepestAt)]!).toBeCloseTo(steepest, 6);
        expect(arm.boreFallMm).toEqual(
          steepest > 1e-9
            ? expect.closeTo(path.pipe.innerMm / steepest, 3)
            : computeBoreFallMm(path.pipe.innerMm, arm.slope),
        );
      }
    }),
    { numRuns: 40 },
  );
});

test("a drain that joins is aired by the one it joins, from the junction on; a vent above the junction reaches down to it", () => {
  fc.assert(
    fc.property(networks, fc.double({ min: 0, max: 3_000, noNaN: true }), (design, fromWeirMm) => {
      const network = buildNetwork(design);
      const joined = design.lines.find((line): line is Drain => line.kind === "drain" && line.to.kind === "junction");
      if (joined?.to.kind !== "junction") return;
      const main = design.lines.find(({ id }) => joined.to.kind === "junction" && id === joined.to.lineId) as Drain;
      const lines = design.lines.map((line) =>
        line.id === joined.id
          ? withBranchVent(joined, null)
          : line.id === main.id
            ? withBranchVent(main, { kind: "openPipe", fromWeirMm })
            : line,
      );
      const path = buildDrainPath({ ...design, lines }, withBranchVent(joined, null));
      const mainPath = buildDrainPath(design, main, network);
      const beforeMm = path.enteredAtMm[1]!;
      const ownMm = path.legs.filter(({ lineId }) => lineId === joined.id).reduce((sum, leg) => sum + leg.lengthMm, 0);
      const wholeMm = path.legs.reduce((sum, leg) => sum + leg.lengthMm, 0);
      // what the main runs down to the junction is never part of the arm, what it runs behind it is
      expect(beforeMm).toBeLessThanOrEqual(mainPath.legs.reduce((sum, leg) => sum + leg.lengthMm, 0) + 1e-6);
      expect(computeTrapArm(path, [LEVEL]).lengthMm).toBeCloseTo(
        Math.min(wholeMm, ownMm + Math.max(0, fromWeirMm - beforeMm)),
        6,
      );
    }),
    { numRuns: 40 },
  );
});

test("from a point further down only the tank gives air; a pipe straight down has no slope, a level one no bound", () => {
  fc.assert(
    fc.property(networks, fc.nat(), (design, from) => {
      for (const path of toPaths(design)) {
        const node = 1 + (from % path.legs.length);
        const rest = path.legs.slice(node);
        expect(measureArmFallMm(path, node)).toBeCloseTo(
          rest.reduce((sum, leg) => sum + leg.from.z - leg.to.z, 0),
          6,
        );
      }
    }),
    { numRuns: 30 },
  );
  expect(computeBoreFallMm(36.4, 0)).toBeNull();
  expect(computeBoreFallMm(36.4, -0.02)).toBeNull();
  expect(computeBoreFallMm(36.4, Number.POSITIVE_INFINITY)).toBe(0);
});

const kranich = readDemo("kranich");
const drain = kranich.lines.find((line) => line.kind === "drain") as Drain;
const withWay = (points: readonly Vec3[], fromWeirMm: number | null): DrainPath =>
  buildDrainPath(kranich, {
    ...drain,
    items: toBeginning(findTrap(drain), fromWeirMm === null ? null : { kind: "openPipe", fromWeirMm }),
    bendsMm: points.map((point, i) => ({ ...point, id: `n${i + 1}` })),
  });

test("straight down behind the trap there is no slope, and the whole drop counts; straight up there is none to count", () => {
  const weir = buildDrainPath(kranich, drain).nodesMm[0]!;
  const down = withWay(
    [
      { ...weir, z: weir.z - 300 },
      { ...weir, x: weir.x - 500, z: weir.z - 310 },
    ],
    250,
  );
  expect(computeTrapArm(down, [LEVEL])).toMatchObject({ lengthMm: 250, slope: null, boreFallMm: 0 });
  expect(measureArmFallMm(down)).toBeCloseTo(250, 9);
  const up = withWay(
    [
      { ...weir, z: weir.z + 300 },
      { ...weir, x: weir.x - 500, z: weir.z + 300 },
    ],
    250,
  );
  expect(computeTrapArm(up, [LEVEL])).toMatchObject({ lengthMm: 250, slope: 0, boreFallMm: null });
});

test("two points at one place do not end the reckoning: the drop behind them still empties the trap", () => {
  const weir = buildDrainPath(kranich, drain).nodesMm[0]!;
  const knee = { ...weir, x: weir.x - 100, z: weir.z - 2 };
  const course = [knee, { ...knee, z: knee.z - 400 }];
  const plain = withWay(course, 450);
  const doubled = withWay([knee, knee, ...course.slice(1)], 450);
  expect(measureArmFallMm(plain)).toBeGreaterThan(drain.pipe.innerMm);
  expect(measureArmFallMm(doubled)).toBeCloseTo(measureArmFallMm(plain), 9);
  expect(computeTrapArm(doubled, [LEVEL]).slope).toBeCloseTo(computeTrapArm(plain, [LEVEL]).slope!, 9);
  const both = [plain, doubled].map(({ drain: laid }) =>
    evaluate({ ...kranich, lines: kranich.lines.map((line) => (line.id === laid.id ? laid : line)) })
      .findings.filter(({ code }) => code === "trapSiphons")
      .map(({ id }) => id),
  );
  expect(both[0]).toHaveLength(1);
  expect(both[1]).toEqual(both[0]);
});
