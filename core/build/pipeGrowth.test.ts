import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { LEVEL } from "../attitude/attitude";
import "../evaluate/fitted";
import { evaluate } from "../evaluate/evaluate";
import { listStraights } from "../falls/bends";
import type { Leg } from "../falls/drainPath";
import { measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { listFamily } from "../parts/pipes";
import { computePipeGrowthMm, findGrowthMm } from "./pipeGrowth";

const PP = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };

// Thermal expansion of polypropylene, 1.5e-4/K, common practice, no source: 3 m and 60 K give 27 mm.
test("3 m of polypropylene grow 27 mm in 60 K, schedule 40 less, hose not at all", () => {
  expect(computePipeGrowthMm(PP, 3000, 60)).toBeCloseTo(27, 9);
  expect(computePipeGrowthMm(listFamily("schedule40")[1]!.pipe, 3000, 60)).toBeCloseTo(18, 9);
  for (const family of ["smoothHose", "ribbedHose"] as const)
    for (const { pipe } of listFamily(family)) expect(computePipeGrowthMm(pipe, 3000, 60)).toBe(0);
  // a measure nobody sells may be of what grows most
  expect(computePipeGrowthMm({ ...PP, innerMm: 37 }, 1000, 10)).toBeCloseTo(1.5, 9);
});

const lay = (...points: Vec3[]): Leg[] =>
  points.slice(1).map((to, i) => {
    const from = points[i]!;
    const lengthMm = measureLength(subtract(to, from));
    return {
      from,
      to,
      kind: "run",
      lengthMm,
      planLengthMm: lengthMm,
      lineId: "d",
      index: i,
      pipe: PP,
      outsideMm: PP.outerMm,
      inflowLps: 0,
      surgeLps: 0,
    };
  });

test("only what lies straight grows together, in however many legs it is drawn; points at one place are one", () => {
  const straight = lay(vec(0, 0, 0), vec(-1000, 0, 0), vec(-1000, 0, 0), vec(-3000, 0, 0));
  const bent = lay(vec(0, 0, 0), vec(-1000, 0, 0), vec(-1000, 2000, 0));
  expect(findGrowthMm(straight, 0)).toBeCloseTo(27, 9);
  expect(findGrowthMm(bent, 0)).toBeCloseTo(18, 9);
  expect(findGrowthMm([], -10)).toBe(0);
  // warmer than what is poured, nothing grows
  expect(findGrowthMm(straight, 80)).toBe(0);
});

test("any network: the straight pieces of a drain are all of it, in order, and the colder the more it grows", () => {
  fc.assert(
    fc.property(networks, fc.double({ min: -40, max: 40, noNaN: true }), (design, coldC) => {
      for (const { legs } of evaluate(design, LEVEL).drains) {
        expect(listStraights(legs).flat()).toEqual(legs.filter(({ lengthMm }) => lengthMm > 0));
        expect(findGrowthMm(legs, coldC - 1)).toBeGreaterThanOrEqual(findGrowthMm(legs, coldC));
      }
    }),
    { numRuns: 80 },
  );
});
