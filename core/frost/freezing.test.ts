import fc from "fast-check";
import { computeHoursToFreezing, computeHoursToIce } from "./freezing";

// Computed from physics; worked examples of the trade's handbook, recomputable by anyone.
test("50 L at 10 °C, 3 W/K, −10 °C outside: 13.4 h to 0 °C, then 15.5 h until a tenth is ice", () => {
  const tank = { massKg: 50, lossWPerK: 3, startC: 10, airC: -10 };
  expect(computeHoursToFreezing(tank)).toBeCloseTo(13.4, 1);
  expect(computeHoursToIce(tank, 0.1)).toBeCloseTo(15.5, 1);
});

test("a valve is at 0 °C in 1.07 h", () => {
  expect(computeHoursToFreezing({ massKg: 0.2, lossWPerK: 0.15, startC: 10, airC: -10 })).toBeCloseTo(1.07, 2);
});

test("no frost, no ice; already cold, no wait", () => {
  const mild = { massKg: 1, lossWPerK: 1, startC: 10, airC: 1 };
  expect(computeHoursToFreezing(mild)).toBeNull();
  expect(computeHoursToIce(mild, 0.5)).toBeNull();
  expect(computeHoursToFreezing({ ...mild, startC: 0, airC: -5 })).toBe(0);
});

// The answer, put back into the equation of cooling stepped through time, ends at 0 °C.
test("stepping the heat out of it second by second comes to the same", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 1, max: 25 }),
      fc.integer({ min: -30, max: -1 }),
      (kg, loss, startC, airC) => {
        const massKg = kg / 10;
        const lossWPerK = loss / 10;
        const hours = computeHoursToFreezing({ massKg, lossWPerK, startC, airC })!;
        const steps = 4000;
        const stepS = (hours * 3600) / steps;
        let at = startC;
        for (let i = 0; i < steps; i++) at -= ((lossWPerK * (at - airC)) / (massKg * 4186)) * stepS;
        expect(Math.abs(at)).toBeLessThan(0.02 * (startC - airC));
      },
    ),
    { numRuns: 40 },
  );
});
