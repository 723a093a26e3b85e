import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { measureCapacityL, measureExtent } from "../geometry/solid";
import { SCENARIOS, type WatchedStore } from "./device";
import { readWatched } from "./readWatched";
import { findSenderTraits } from "./senderTraits";
import { simulateDevices } from "./simulateDevices";

const store: WatchedStore = {
  id: "grey",
  roomL: 54,
  startL: 10,
  perDayL: 18,
  pitchLPerDeg: 0.2,
  rollLPerDeg: 0.8,
  steps: 50,
};

test("what a sender says stays within its tank, the same seed says the same", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SCENARIOS),
      fc.integer({ min: 0, max: 700_000 }),
      fc.nat(9_999),
      (scenario, atS, seed) => {
        const report = simulateDevices([store], scenario, atS, seed);
        expect(report.levelsL["grey"]).toBeGreaterThanOrEqual(0);
        expect(report.levelsL["grey"]).toBeLessThanOrEqual(store.roomL);
        expect(simulateDevices([store], scenario, atS, seed)).toEqual(report);
        expect(report.flowLpm).toBeGreaterThanOrEqual(0);
      },
    ),
  );
});

test("over a day the level rises by the day's litres, within step, noise and slope", () => {
  const at = (s: number) => simulateDevices([store], "week", s, 3).levelsL["grey"]!;
  expect(at(86_400) - at(0)).toBeGreaterThan(18 - 0.1 * store.roomL);
  expect(at(86_400) - at(0)).toBeLessThan(18 + 0.1 * store.roomL);
});

test("a stuck float says the same after its day; an open valve empties; a pad holds the tank over freezing", () => {
  const stuck = [100_000, 150_000, 160_000].map(
    (s) => simulateDevices([{ ...store, perDayL: 20 }], "stuckFloat", s, 1).levelsL["grey"]!,
  );
  for (const level of stuck) expect(Math.abs(level - 30)).toBeLessThan(3);
  expect(simulateDevices([store], "valveLeftOpen", 200, 1)).toMatchObject({
    isValveOpen: true,
    levelsL: { grey: expect.any(Number) },
  });
  expect(simulateDevices([store], "valveLeftOpen", 200, 1).levelsL["grey"]!).toBeLessThan(2);
  const night = simulateDevices([store], "frostNight", 40_000, 1);
  expect(night.heaterW).toBeGreaterThan(0);
  expect(night.tankC).toBeGreaterThan(0);
});

test.each([
  ["scenario=week&store=grey:54:10:18.7:0.4:-1.2:4", true],
  ["scenario=week", false],
  ["scenario=war&store=grey:54:10:18:0:0:4", false],
  ["scenario=week&store=grey:54:10", false],
  ["scenario=week&store=GREY:54:10:1:0:0:4", false],
  ["scenario=week&store=grey:0:0:1:0:0:4", false],
  ["scenario=week&store=grey:54:x:1:0:0:4", false],
  ["scenario=week&store=grey:54:10:1:0:0:0", false],
  ["scenario=week&store=grey:54:10:1:0:0:2.5", false],
  ["scenario=week&seed=-1&store=grey:54:10:1:0:0:4", false],
])("%s", (query, isGood) => {
  const asked = readWatched(new URLSearchParams(query));
  expect(typeof asked !== "string").toBe(isGood);
  if (typeof asked === "string") expect(asked.length).toBeGreaterThan(10);
});

test("what a sender does to a level is its own: in the middle of a box nothing, aside as the slope times its arm", () => {
  const tank = readDemo("kranich").tanks[0]!;
  const { min, max } = measureExtent(tank.solid);
  const litresPerMm = measureCapacityL(tank.solid) / (max.z - min.z);
  const middle = findSenderTraits({ ...tank, sender: null });
  expect(middle.pitchLPerDeg).toBeCloseTo(0, 6);
  expect(middle.rollLPerDeg).toBeCloseTo(0, 6);
  expect(middle.steps).toBe(50);
  // 100 mm from the middle, a degree is 1.745 mm of depth: geometry
  const aside = (dx: number, dy: number) =>
    findSenderTraits({
      ...tank,
      sender: {
        kind: "probes",
        xMm: (min.x + max.x) / 2 + dx,
        yMm: (min.y + max.y) / 2 + dy,
        lowMm: min.z,
        highMm: max.z,
      },
    });
  const perDeg = 100 * Math.tan(Math.PI / 180) * litresPerMm;
  expect(Math.abs(aside(100, 0).pitchLPerDeg)).toBeCloseTo(perDeg, 3);
  expect(aside(-100, 0).pitchLPerDeg).toBeCloseTo(-aside(100, 0).pitchLPerDeg, 6);
  expect(Math.abs(aside(0, 100).rollLPerDeg)).toBeCloseTo(perDeg, 3);
  expect(aside(0, 0).steps).toBe(4);
});

test("probes in four steps say quarters and nothing between", () => {
  for (let s = 0; s < 300_000; s += 7_919) {
    const { levelsL } = simulateDevices([{ ...store, steps: 4 }], "week", s, 5);
    expect((levelsL["grey"]! / store.roomL) * 4).toBeCloseTo(Math.round((levelsL["grey"]! / store.roomL) * 4), 9);
  }
});
