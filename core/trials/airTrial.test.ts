import fc from "fast-check";
import { computeWallForceKN, computeWarmthKPa } from "./airTrial";

// The ideal gas and p A, worked by hand [C].
test("one kelvin is 0.463 kPa of shut-in air at 135.8 kPa absolute, 347 Pa at that of the day; 34.5 kPa push 11 kN", () => {
  expect(computeWarmthKPa(135.8, 20, 1)).toBeCloseTo(0.463, 3);
  expect(computeWarmthKPa(101.325 + 0.373, 20, 1)).toBeCloseTo(0.347, 3);
  expect(computeWallForceKN(34.5, 800, 400)).toBeCloseTo(11.04, 2);
});

test("air that warms up and cools down again is at the pressure it had; warmer air changes less for a kelvin", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 90, max: 500, noNaN: true }),
      fc.double({ min: -30, max: 60, noNaN: true }),
      fc.double({ min: 0.1, max: 30, noNaN: true }),
      (kPa, celsius, changeK) => {
        const warm = kPa + computeWarmthKPa(kPa, celsius, changeK);
        expect(warm).toBeGreaterThan(kPa);
        expect(warm + computeWarmthKPa(warm, celsius + changeK, -changeK)).toBeCloseTo(kPa, 9);
        expect(computeWarmthKPa(kPa, celsius + 1, 1)).toBeLessThan(computeWarmthKPa(kPa, celsius, 1));
      },
    ),
  );
});
