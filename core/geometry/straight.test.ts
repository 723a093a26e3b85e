import fc from "fast-check";
import { measureApartMm, type Straight } from "./straight";
import { interpolate, measureLength, subtract, vec } from "./vec";

const points = fc
  .tuple(...[0, 1, 2].map(() => fc.integer({ min: -400, max: 400 })))
  .map(([x, y, z]) => vec(x!, y!, z!));
const straights: fc.Arbitrary<Straight> = fc.record({ from: points, to: points });
const of = (from: [number, number, number], to: [number, number, number]): Straight => ({
  from: vec(...from),
  to: vec(...to),
});

// Worked by hand.
test("a cross, side by side, in line, end against middle, and two points", () => {
  expect(measureApartMm(of([-10, 0, 0], [10, 0, 0]), of([0, -10, 40], [0, 10, 40]))).toBe(40);
  expect(measureApartMm(of([0, 0, 0], [100, 0, 0]), of([20, 30, 0], [60, 30, 0]))).toBe(30);
  expect(measureApartMm(of([0, 0, 0], [100, 0, 0]), of([130, 0, 0], [200, 0, 0]))).toBe(30);
  expect(measureApartMm(of([0, 0, 0], [100, 0, 0]), of([200, 40, 0], [130, 40, 0]))).toBe(50);
  expect(measureApartMm(of([0, 0, 0], [100, 0, 0]), of([50, 25, 0], [50, 90, 0]))).toBe(25);
  expect(measureApartMm(of([0, 0, 0], [0, 0, 0]), of([3, 4, 0], [3, 4, 0]))).toBe(5);
});

test("no two places of theirs are nearer, some two are as near, and it is the same the other way round", () => {
  fc.assert(
    fc.property(straights, straights, (a, b) => {
      const apart = measureApartMm(a, b);
      const steps = Array.from({ length: 61 }, (_, i) => i / 60);
      const found = Math.min(
        ...steps.flatMap((s) =>
          steps.map((t) => measureLength(subtract(interpolate(a.from, a.to, s), interpolate(b.from, b.to, t)))),
        ),
      );
      const step = (measureLength(subtract(a.to, a.from)) + measureLength(subtract(b.to, b.from))) / 120;
      expect(found).toBeGreaterThanOrEqual(apart - 1e-6);
      expect(found).toBeLessThanOrEqual(apart + step + 1e-6);
      expect(measureApartMm(b, a)).toBeCloseTo(apart, 6);
    }),
    { numRuns: 150 },
  );
});
