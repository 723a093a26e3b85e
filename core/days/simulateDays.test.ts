import type { FlowStretch } from "./flows";
import { simulateDays } from "./simulateDays";
import { FRESH_ID } from "./stores";

type Part = readonly [storeId: string, useId: string, litres: number, perDay: number, byChance: boolean];

const stretch = (days: number, ...parts: readonly Part[]): FlowStretch => ({
  wayId: "w",
  days,
  groundLPerDay: 0,
  flows: [...new Set(parts.map(([storeId]) => storeId))].map((storeId) => ({
    storeId,
    draws: parts
      .filter(([id]) => id === storeId)
      .map(([, useId, litres, perDay, byChance]) => ({ useId, litres, perDay, byChance })),
  })),
});
const run = (stretches: readonly FlowStretch[], rooms: Readonly<Record<string, number>>, journeys = 40, days = 30) =>
  simulateDays({
    stretches,
    rooms: Object.entries(rooms).map(([storeId, roomL]) => ({ storeId, roomL })),
    days,
    journeys,
    seed: 11,
  })!;
const storeOf = ({ stores }: ReturnType<typeof run>, id: string) => stores.find(({ storeId }) => storeId === id)!;

test("what runs evenly ends to the hour, without any spread: 54 L at 14 L a day after 54 / 14 days", () => {
  const { meanDays, standardError, firstShare, chanceByDay } = storeOf(
    run([stretch(30, ["t", "u", 7, 2, false])], { t: 54 }),
    "t",
  );
  expect(meanDays).toBeCloseTo(54 / 14, 9);
  expect(standardError).toBeCloseTo(0, 9);
  expect(firstShare).toBe(1);
  expect(chanceByDay.slice(0, 5)).toEqual([0, 0, 0, 1, 1]);
});

test("once the fresh water is gone nothing that needs it fills a tank, and what needs none goes on", () => {
  // 10 L a day from 30 L of fresh water into a tank of 100 L: gone after 3 days, and the tank holds 30 L for good
  const wet: readonly Part[] = [
    [FRESH_ID, "wash", 10, 1, false],
    ["t", "wash", 10, 1, false],
  ];
  const washed = run([stretch(30, ...wet)], { [FRESH_ID]: 30, t: 100 });
  expect(storeOf(washed, FRESH_ID)).toMatchObject({ firstShare: 1, standardError: 0 });
  expect(storeOf(washed, FRESH_ID).meanDays).toBeCloseTo(3, 9);
  expect(storeOf(washed, "t")).toMatchObject({ meanDays: null, standardError: null, firstShare: 0 });
  expect(washed.keptL).toBeCloseTo(40 * (30 + 30), 6);
  // urine beside it: 30 L and 5 L a day are 100 L after 17 days
  const both = run([stretch(30, ...wet, ["t", "urine", 5, 1, false])], { [FRESH_ID]: 30, t: 100 });
  expect(storeOf(both, "t").meanDays).toBeCloseTo(3 + (100 - 45) / 5, 9);
  expect(storeOf(both, "t").firstShare).toBe(0);
});

test("a use that comes by chance waits as long as Poisson's: mean 1 / λ, standard error 1 / (λ √n)", () => {
  const journeys = 4_000;
  const { meanDays, standardError } = storeOf(
    run([stretch(365, ["t", "u", 1, 0.5, true])], { t: 0.5 }, journeys, 365),
    "t",
  );
  expect(standardError!).toBeGreaterThan(0.9 * (2 / Math.sqrt(journeys)));
  expect(standardError!).toBeLessThan(1.1 * (2 / Math.sqrt(journeys)));
  expect(Math.abs(meanDays! - 2)).toBeLessThan(4 * standardError!);
});

test("a use by chance that finds too little fresh water does not happen, and sends nothing down", () => {
  const { stores, takenL, keptL } = run(
    [stretch(30, [FRESH_ID, "shower", 20, 3, true], ["t", "shower", 20, 3, true])],
    { [FRESH_ID]: 50, t: 45 },
    200,
  );
  // two showers and no third: 40 L come down, and 45 L of room are never passed
  expect(stores.find(({ storeId }) => storeId === "t")!.meanDays).toBeNull();
  expect(takenL).toBeCloseTo(200 * 80, 6);
  expect(keptL).toBeCloseTo(takenL, 6);
});

test("stretches follow one another, and the last goes on", () => {
  const stay = [stretch(3, ["t", "u", 10, 1, false]), stretch(1, ["t", "u", 20, 1, false])];
  expect(storeOf(run(stay, { t: 70 }), "t").meanDays).toBeCloseTo(5, 9);
});

test("of two that fill at different times the earlier is the first, and it can be called off", () => {
  const both = run([stretch(30, ["a", "u", 10, 1, false], ["b", "v", 10, 1, false])], { a: 60, b: 40 });
  expect([storeOf(both, "a").firstShare, storeOf(both, "b").firstShare]).toEqual([0, 1]);
  const input = {
    stretches: [stretch(30, ["t", "u", 1, 1, true])],
    rooms: [{ storeId: "t", roomL: 9 }],
    days: 30,
    seed: 3,
  };
  const told: number[] = [];
  expect(simulateDays({ ...input, journeys: 2_000 }, (share) => told.push(share) < 2)).toBeNull();
  expect(told).toEqual([0.25, 0.5]);
});
