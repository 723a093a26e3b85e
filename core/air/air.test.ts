import fc from "fast-check";
import { computeSealAfterMm, computeSealBreakPa } from "../traps/sealPressure";
import { computeAirPressurePa } from "./airPressure";
import { computeDumping, computeLeastBreatherBoreM, GRAVITY, OUTLET_CD, WATER_DENSITY } from "./dumping";
import { computeFrictionFactor } from "./friction";

const pipe = (boreMm: number, lengthM = 2, lossK = 1.5) => ({ boreM: boreMm / 1000, lengthM, lossK });

test("friction: laminar is 64/Re, turbulent is Swamee and Jain, and the bridge meets both", () => {
  expect(computeFrictionFactor(1000)).toBeCloseTo(0.064, 9);
  // Swamee and Jain at Re 1e5, smooth: within 3 % of Colebrook's 0.0180 (published charts, from memory)
  expect(Math.abs(computeFrictionFactor(1e5) - 0.018)).toBeLessThan(0.0006);
  expect(computeFrictionFactor(2000.001)).toBeCloseTo(64 / 2000, 3);
  expect(computeFrictionFactor(3999.999)).toBeCloseTo(computeFrictionFactor(4000.001), 4);
});

test("the bridge has no step: neighbours differ by little, whatever the roughness", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1_500, max: 6_000 }), fc.integer({ min: 0, max: 50 }), (re, rough) => {
      const here = computeFrictionFactor(re, rough / 1000);
      const there = computeFrictionFactor(re + 1, rough / 1000);
      expect(Math.abs(there - here)).toBeLessThan(2e-4);
    }),
  );
});

// Computed from physics; the figures of the trade's handbook, recomputable by anyone.
test.each([
  [9.5, 669],
  [12.7, 177],
])("0.8 L/s of air through 2 m of %d mm takes %i Pa", (bore, pascal) => {
  expect(Math.abs(computeAirPressurePa(0.8e-3, pipe(bore)) - pascal)).toBeLessThan(1);
});

test("a deck pump-out of 1.5 L/s on 3 m of 19 mm, ΣK 2.5: 135 Pa", () => {
  expect(Math.abs(computeAirPressurePa(1.5e-3, pipe(19, 3, 2.5)) - 135)).toBeLessThan(1);
});

test.each([
  [9.5, 0.9708, 942],
  [12.7, 1.2136, 370],
])("dumping from 0.2 m through 38 mm with a breather of %d mm: %d L/s and %i Pa", (bore, lps, pascal) => {
  const { flowM3PerS, suctionPa } = computeDumping(0.2, 0.038, [pipe(bore)]);
  expect(flowM3PerS * 1000).toBeCloseTo(lps, 3);
  expect(Math.abs(suctionPa - pascal)).toBeLessThan(1);
});

test.each([
  [38, 15.2],
  [50, 19.1],
  [76, 27.5],
])("least bore for 250 Pa at an outlet of %d mm: %d mm", (outlet, least) => {
  const boreM = computeLeastBreatherBoreM(0.2, outlet / 1000, 250, { lengthM: 2, lossK: 3 });
  expect(Math.abs(boreM * 1000 - least)).toBeLessThan(0.1);
  // what is wide enough for an open tank is wide enough for one that its breather slows
  expect(computeDumping(0.2, outlet / 1000, [{ boreM, lengthM: 2, lossK: 3 }]).suctionPa).toBeLessThan(250);
});

const head = fc.double({ min: 0.01, max: 1, noNaN: true });
const bore = fc.integer({ min: 6, max: 60 });

test("what flows is what the head left over drives: the two sides agree, and never more than an open tank", () => {
  fc.assert(
    fc.property(head, bore, fc.integer({ min: 15, max: 100 }), (h, boreMm, outletMm) => {
      const { flowM3PerS, suctionPa } = computeDumping(h, outletMm / 1000, [pipe(boreMm)]);
      const area = (Math.PI / 4) * (outletMm / 1000) ** 2;
      const driven = OUTLET_CD * area * Math.sqrt(Math.max(0, 2 * (GRAVITY * h - suctionPa / WATER_DENSITY)));
      expect(Math.abs(driven - flowM3PerS)).toBeLessThan(1e-7);
      expect(flowM3PerS).toBeLessThanOrEqual(OUTLET_CD * area * Math.sqrt(2 * GRAVITY * h) + 1e-12);
    }),
  );
});

test("a wider breather never sucks more, a higher tank never less", () => {
  fc.assert(
    fc.property(head, bore, (h, boreMm) => {
      const base = computeDumping(h, 0.038, [pipe(boreMm)]).suctionPa;
      expect(computeDumping(h, 0.038, [pipe(boreMm + 1)]).suctionPa).toBeLessThanOrEqual(base + 1e-6);
      expect(computeDumping(h * 1.2, 0.038, [pipe(boreMm)]).suctionPa).toBeGreaterThanOrEqual(base - 1e-6);
    }),
  );
});

test("a 50 mm seal breaks at 489 Pa, and keeps 34.68 mm after 300 Pa", () => {
  expect(Math.abs(computeSealBreakPa(50) - 489)).toBeLessThan(1);
  expect(computeSealAfterMm(50, 300)).toBeCloseTo(34.68, 2);
  expect(computeSealAfterMm(50, 600)).toBe(0);
  expect(computeSealAfterMm(50, 0)).toBe(50);
});
