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

test("no point of a leg is nearer to the block than the leg", () => {
  fc.assert(
    fc.property(place, place, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, t) => {
      const p = interpolate(a, b, t);
      const atPoint = measureLegGap(p, p, block);
      expect(measureLegGap(a, b, block)).toBeLessThanOrEqual(atPoint + 1e-3);
    }),
  );
});

test("a leg through the block has no gap; one that passes over it crosses it on the plan", () => {
  expect(measureLegGap(vec(-50, 25, 10), vec(150, 25, 10), block)).toBeCloseTo(0, 6);
  expect(measureLegGap(vec(-50, 25, 60), vec(150, 25, 60), block)).toBeCloseTo(40, 6);
  expect(measurePlanCrossing(vec(-100, 25, 60), vec(300, 25, 60), block)).toEqual([0.25, 0.5]);
  expect(measurePlanCrossing(vec(-100, 80, 60), vec(300, 80, 60), block)).toBeNull();
});
