import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { type AirReadings, computeLeak, computeWaterLoss, PAPERS, type WaterReadings } from "./leakRate";
import { findPressureKPa } from "./pressed";

const still: AirReadings = {
  volumeL: 2,
  minutes: 10,
  startKPa: 30,
  endKPa: 29,
  startC: 20,
  endC: 20,
  startBarometerKPa: 101.3,
  endBarometerKPa: 101.3,
  wantedKPa: 0,
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
  expect(computeWaterLoss({ areaCm2: 0, minutes: 15, sankMm: 1, rulerErrorMm: 1, paper: "dry" })).toBeNull();
});

const stood: WaterReadings = { areaCm2: 10, minutes: 15, sankMm: 0, rulerErrorMm: 1, paper: "unseen" };
const judge = (readings: Partial<WaterReadings>) => computeWaterLoss({ ...stood, ...readings });

test("water: 10 cm² sinking 6 mm in 15 min loses 0.4 mL/min; half a millimetre is the ruler", () => {
  const loss = judge({ sankMm: 6 })!;
  expect(loss.mlPerMin).toBeCloseTo(0.4, 1);
  expect(loss).toMatchObject({ verdict: "leaks", cause: "levelSank" });
  expect(judge({ sankMm: 0.5 })).toMatchObject({ verdict: "held", cause: "levelStood" });
});

test("a level on a wide surface shows no drip: without a look at the paper nothing held", () => {
  // 3,200 cm² a millimetre is 320 mL; a drop every three seconds takes some five hours for it
  expect(judge({ areaCm2: 3200 })).toMatchObject({ verdict: "unclear", cause: "tooWide", minutesToTell: 320 });
  expect(judge({ areaCm2: 3200, minutes: 320 })).toMatchObject({ verdict: "held", cause: "levelStood" });
  expect(judge({ areaCm2: 3200, paper: "dry" })).toMatchObject({ verdict: "held", cause: "paperDry" });
});

// Published: 15 min of water in plastic drain pipe; from memory.
test("less than 15 minutes prove nothing, but wet paper and a level that sank tell at once", () => {
  expect(judge({ minutes: 14.9, paper: "dry" })).toMatchObject({ verdict: "unclear", cause: "tooShort" });
  expect(judge({ minutes: 1, paper: "wet" })).toMatchObject({ verdict: "leaks", cause: "paperWet" });
  expect(judge({ minutes: 1, sankMm: 12 })).toMatchObject({ verdict: "leaks", cause: "levelSank" });
  expect(judge({ sankMm: null, paper: "wet" })).toMatchObject({ verdict: "leaks" });
});

test("of nothing read nothing is said", () => {
  expect(judge({ sankMm: null })).toBeNull();
  expect(judge({ sankMm: null, paper: "dry" })).toMatchObject({ verdict: "held", cause: "paperDry" });
  expect(judge({ sankMm: -1 })).toBeNull();
  expect(judge({ minutes: 0 })).toBeNull();
});

test("any readings: more that sank, wet paper or a shorter watch never make a trial better", () => {
  const rank = { held: 0, unclear: 1, leaks: 2 } as const;
  const readings = fc.record({
    areaCm2: fc.double({ min: 1, max: 10_000, noNaN: true }),
    minutes: fc.double({ min: 1, max: 600, noNaN: true }),
    sankMm: fc.option(fc.double({ min: 0, max: 50, noNaN: true })),
    rulerErrorMm: fc.constant(1),
    paper: fc.constantFrom(...PAPERS),
  });
  fc.assert(
    fc.property(readings, fc.double({ min: 0, max: 20, noNaN: true }), (one, more) => {
      const told = computeWaterLoss(one);
      if (!told) return;
      const worse = (changed: Partial<WaterReadings>) => rank[computeWaterLoss({ ...one, ...changed })!.verdict];
      expect(worse({ sankMm: (one.sankMm ?? 0) + more })).toBeGreaterThanOrEqual(rank[told.verdict]);
      expect(worse({ paper: "wet" })).toBe(2);
      if (told.verdict === "unclear") expect(worse({ minutes: one.minutes / 2 })).toBeGreaterThanOrEqual(1);
      // a leak that is told is told of any surface
      if (told.verdict === "leaks") expect(worse({ areaCm2: one.areaCm2 / 2 })).toBe(2);
    }),
  );
});

test("tried with less than it stands under in use it has not held, though a leak is one", () => {
  const tried = (startKPa: number, endKPa = startKPa) => computeLeak({ ...still, startKPa, endKPa, wantedKPa: 310 })!;
  expect(tried(0)).toMatchObject({ isLow: true, verdict: "unclear" });
  expect(tried(278)).toMatchObject({ isLow: true, verdict: "unclear" });
  expect(tried(279)).toMatchObject({ isLow: false, verdict: "held" });
  expect(tried(100, 80)).toMatchObject({ isLow: true, verdict: "leaks" });
  const loop = readDemo("kranich-loop");
  const cutOuts = loop.gear.flatMap(({ spec }) => (spec.kind === "pump" && spec.cutOutKPa ? [spec.cutOutKPa] : []));
  expect(findPressureKPa(loop)).toBeGreaterThanOrEqual(Math.max(...cutOuts));
  expect(findPressureKPa({ gear: [] })).toBe(0);
});

test("air that clearly gained is no proof: no leak does that", () => {
  const gained = computeLeak({ ...still, startKPa: 30, endKPa: 32 })!;
  expect(gained.lostKPa).toBeCloseTo(-2, 9);
  expect(gained.verdict).toBe("unclear");
});
