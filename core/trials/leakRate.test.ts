import fc from "fast-check";
import { type AirReadings, computeLeak, computeWaterLoss } from "./leakRate";

const still: AirReadings = {
  volumeL: 2,
  minutes: 10,
  startKPa: 30,
  endKPa: 29,
  startC: 20,
  endC: 20,
  startBarometerKPa: 101.3,
  endBarometerKPa: 101.3,
  gaugeErrorKPa: 0.1,
  thermometerErrorK: 0.1,
};

// Worked by hand: 2,000 mL × 1 kPa / 101.3 kPa / 10 min.
test("1 kPa of 2 L in 10 min is 1.974 mL/min of room air, and a leak", () => {
  const leak = computeLeak(still)!;
  expect(leak.mlPerMin).toBeCloseTo(1.974, 3);
  expect(leak.verdict).toBe("leaks");
  expect(leak.explainedKPa).toBeCloseTo(0, 9);
});

// Published: ideal gas; the figure of the trade's handbook, 1 K at 135.8 kPa absolute is 0.463 kPa.
test("1 K of cooling explains 0.463 kPa at 135.8 kPa absolute: no leak is shown, and it says so", () => {
  const leak = computeLeak({ ...still, startKPa: 34.5, startBarometerKPa: 101.3, endKPa: 34.5 - 0.463, endC: 19 })!;
  expect(leak.explainedKPa).toBeCloseTo(0.463, 2);
  expect(leak.lostKPa).toBeCloseTo(0, 2);
  expect(leak.verdict).toBe("unclear");
});

test("a falling barometer alone raises the gauge and is no gain; a tight vessel never leaks whatever the weather does", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 40, noNaN: true }),
      fc.double({ min: -10, max: 40, noNaN: true }),
      fc.double({ min: -10, max: 40, noNaN: true }),
      fc.double({ min: 90, max: 105, noNaN: true }),
      fc.double({ min: 90, max: 105, noNaN: true }),
      (startKPa, startC, endC, startBarometerKPa, endBarometerKPa) => {
        const endKPa = ((startKPa + startBarometerKPa) * (endC + 273.15)) / (startC + 273.15) - endBarometerKPa;
        const leak = computeLeak({ ...still, startKPa, endKPa, startC, endC, startBarometerKPa, endBarometerKPa })!;
        expect(leak.lostKPa).toBeCloseTo(0, 6);
        expect(leak.verdict).not.toBe("leaks");
      },
    ),
  );
});

test("a barometer of 0, no minutes, no volume: no answer and never NaN", () => {
  for (const broken of [
    { startBarometerKPa: 0 },
    { minutes: 0 },
    { volumeL: 0 },
    { endC: -300 },
    { endKPa: Number.NaN },
  ]) {
    expect(computeLeak({ ...still, ...broken })).toBeNull();
  }
  expect(computeWaterLoss({ areaCm2: 0, minutes: 15, sankMm: 1, rulerErrorMm: 1 })).toBeNull();
});

test("water: 10 cm² sinking 6 mm in 15 min loses 0.4 mL/min; half a millimetre is the ruler", () => {
  const loss = computeWaterLoss({ areaCm2: 10, minutes: 15, sankMm: 6, rulerErrorMm: 1 })!;
  expect(loss.mlPerMin).toBeCloseTo(0.4, 1);
  expect(loss.verdict).toBe("leaks");
  expect(computeWaterLoss({ areaCm2: 10, minutes: 15, sankMm: 0.5, rulerErrorMm: 1 })!.verdict).toBe("held");
});
