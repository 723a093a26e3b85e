import fc from "fast-check";
import { type Block, measureBlockGap, measureLegGap, measurePlanCrossing } from "./blocks";
import { interpolate, vec } from "./vec";

const block: Block = { min: vec(0, 0, 0), max: vec(100, 50, 20) };
const place = fc.record({
  x: fc.double({ min: -400, max: 400, noNaN: true }),
  y: fc.double({ min: -400, max: 400, noNaN: true }),
  z: fc.double({ min: -400, max: 400, noNaN: true }),
});

test("gap between blocks: apart, touching, overlapping", () => {
  const moved = (x: number) => ({ min: vec(x, 0, 0), max: vec(x + 10, 50, 20) });
  expect(measureBlockGap(block, moved(130))).toBe(30);
  expect(measureBlockGap(block, moved(100))).toBe(0);
  expect(measureBlockGap(block, moved(94))).toBe(-6);
});

// on a grid as coarse as the block, legs lie along its faces, through its corners, and have no length
const gridPlace = fc
  .tuple(fc.integer({ min: -3, max: 5 }), fc.integer({ min: -3, max: 5 }), fc.integer({ min: -3, max: 5 }))
  .map(([x, y, z]) => vec(x * 50, y * 25, z * 10));
const leg = fc.oneof(fc.tuple(place, place), fc.tuple(gridPlace, gridPlace), fc.tuple(gridPlace, place));
const share = fc.oneof(fc.constantFrom(0, 1), fc.double({ min: 0, max: 1, noNaN: true }));

test("no point of a leg is nearer to the block than the leg, and one is as near", () => {
  fc.assert(
    fc.property(leg, share, ([a, b], t) => {
      const gap = measureLegGap(a, b, block);
      const at = (s: number) => measureLegGap(interpolate(a, b, s), interpolate(a, b, s), block);
      expect(gap).toBeLessThanOrEqual(at(t) + 1e-6);
      // further off a lower bound is all that is promised
      if (gap > 500) return;
      const nearest = Math.min(...Array.from({ length: 1001 }, (_, i) => at(i / 1000)));
      const step = Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z) / 1000;
      expect(gap).toBeGreaterThanOrEqual(nearest - step / 2 - 1e-6);
    }),
    { numRuns: 200 },
  );
});

test("a leg through the block has no gap; one that passes over it crosses it on the plan", () => {
  expect(measureLegGap(vec(-50, 25, 10), vec(150, 25, 10), block)).toBeCloseTo(0, 6);
  expect(measureLegGap(vec(-50, 25, 60), vec(150, 25, 60), block)).toBeCloseTo(40, 6);
  expect(measurePlanCrossing(vec(-100, 25, 60), vec(300, 25, 60), block)).toEqual([0.25, 0.5]);
  expect(measurePlanCrossing(vec(-100, 80, 60), vec(300, 80, 60), block)).toBeNull();
});
