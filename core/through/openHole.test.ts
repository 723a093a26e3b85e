import fc from "fast-check";
import { computeFloodLps, computeFreeSurfaceMm, computeSharedSurfaceMm } from "./openHole";

// A failed fitting floods Cd a √2gh, and a free surface takes ρ l b³/12 off: worked by hand from the formulas [C].
test("38 mm half a metre down lets in 128 L/min; 0.8 × 0.4 m takes 1.06 mm off at 4,000 kg, turned athwart 4.26", () => {
  expect(computeFloodLps(38, 500) * 60).toBeCloseTo(127.9, 0);
  expect(computeFreeSurfaceMm(800, 400, 4_000)).toBeCloseTo(1.06, 2);
  expect(computeFreeSurfaceMm(400, 800, 4_000)).toBeCloseTo(4.26, 2);
  expect(computeSharedSurfaceMm(800, 400, 600, 4_000)).toBeCloseTo(28.7, 1);
});

const mm = fc.integer({ min: 100, max: 3_000 });

test("tanks side by side that share one level take off what one tank over all of them does", () => {
  fc.assert(
    fc.property(mm, mm, fc.integer({ min: 2, max: 6 }), fc.integer({ min: 500, max: 20_000 }), (l, b, count, kg) => {
      const whole = computeFreeSurfaceMm(l, b * count, kg);
      const parts = Array.from({ length: count }, (_, i) => {
        const offMm = (i + 0.5 - count / 2) * b;
        return computeFreeSurfaceMm(l, b, kg) + computeSharedSurfaceMm(l, b, offMm, kg);
      });
      expect(parts.reduce((sum, one) => sum + one, 0)).toBeCloseTo(whole, 6);
      // heavier boats feel it less
      expect(computeFreeSurfaceMm(l, b, kg * 2)).toBeCloseTo(computeFreeSurfaceMm(l, b, kg) / 2, 9);
    }),
  );
});
