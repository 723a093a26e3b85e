import fc from "fast-check";
import { SCENARIOS, type WatchedStore } from "./device";
import { readWatched } from "./readWatched";
import { simulateDevices } from "./simulateDevices";

const store: WatchedStore = { id: "grey", roomL: 54, startL: 10, perDayL: 18 };

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
  ["scenario=week&store=grey:54:10:18.7", true],
  ["scenario=week", false],
  ["scenario=war&store=grey:54:10:18", false],
  ["scenario=week&store=grey:54:10", false],
  ["scenario=week&store=GREY:54:10:1", false],
  ["scenario=week&store=grey:0:0:1", false],
  ["scenario=week&store=grey:54:x:1", false],
  ["scenario=week&seed=-1&store=grey:54:10:1", false],
])("%s", (query, isGood) => {
  const asked = readWatched(new URLSearchParams(query));
  expect(typeof asked !== "string").toBe(isGood);
  if (typeof asked === "string") expect(asked.length).toBeGreaterThan(10);
});
