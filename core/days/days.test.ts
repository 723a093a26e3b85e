import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Habits, Use } from "../design/habits";
import { evaluate } from "../evaluate/evaluate";
import { findEvenRooms } from "./balance";
import { computeCompoundPoisson } from "./compoundPoisson";
import { computeEveryoneAboard } from "./everyoneAboard";
import { computeMeanDays, type FlowStretch, sumDraws } from "./flows";
import { computeDayChances, findDayAt } from "./fullChance";
import { listRungs } from "./lengthenStay";
import { computeLevelBands } from "./levelBands";
import { findRhythm, listNeeds } from "./rhythm";
import { simulateDays } from "./simulateDays";
import { FRESH_ID, listStores } from "./stores";
import { READY_USES, USUAL_USES } from "./usualUses";

const draw = (litres: number, perDay: number, byChance = true) => ({
  useId: `${litres}-${perDay}`,
  litres,
  perDay,
  byChance,
});
const flowOf = (...draws: ReturnType<typeof draw>[]): FlowStretch[] => [
  { wayId: "w", days: 30, groundLPerDay: 0, flows: [{ storeId: "t", draws }] },
];

// Poisson distribution by its own formula, from logarithms.
function poisson(n: number, rate: number): number {
  let log = -rate;
  for (let k = 1; k <= n; k++) log += Math.log(rate / k);
  return Math.exp(log);
}

test("one use: the terms of the Poisson distribution; λ 2 as its tables have them (0.1353, 0.2707, 0.2707, 0.1804)", () => {
  const table = computeCompoundPoisson([{ rate: 2, steps: 1 }], 3);
  [0.1353, 0.2707, 0.2707, 0.1804].forEach((value, n) => {
    expect(table[n]).toBeCloseTo(value, 4);
  });
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 900, noNaN: true }), fc.integer({ min: 1, max: 9 }), (rate, steps) => {
      const p = computeCompoundPoisson([{ rate, steps }], 40 * steps);
      for (let n = 0; n <= 40; n++) expect(Math.abs(p[n * steps]! - poisson(n, rate))).toBeLessThan(1e-9);
    }),
    { numRuns: 60 },
  );
});

test("two uses: the double sum over both Poisson distributions, to 1e-9", () => {
  const rates = fc.double({ min: 0.05, max: 12, noNaN: true });
  const sizes = fc.integer({ min: 1, max: 14 });
  fc.assert(
    fc.property(rates, sizes, rates, sizes, (one, oneSteps, other, otherSteps) => {
      const most = 120;
      const p = computeCompoundPoisson(
        [
          { rate: one, steps: oneSteps },
          { rate: other, steps: otherSteps },
        ],
        most,
      );
      const sum = new Float64Array(most + 1);
      for (let i = 0; i * oneSteps <= most; i++)
        for (let j = 0; i * oneSteps + j * otherSteps <= most; j++)
          sum[i * oneSteps + j * otherSteps]! += poisson(i, one) * poisson(j, other);
      for (let n = 0; n <= most; n++) expect(Math.abs(p[n]! - sum[n]!)).toBeLessThan(1e-9);
    }),
    { numRuns: 40 },
  );
});

test("what comes regularly gives the sum by hand: 54 L at 14 L a day are full after 54 / 14 days, on day 4 for sure", () => {
  const flow = flowOf(draw(7, 2, false));
  expect(computeMeanDays(flow, "t", 54)).toBeCloseTo(54 / 14, 12);
  expect(computeDayChances(flow, "t", 54, 5)).toEqual([0, 0, 0, 1, 1]);
  expect(computeLevelBands(flow, "t", 60, 3).map(({ medianL }) => medianL)).toEqual([0, 14, 28, 42]);
});

test("a way of living that changes is followed stretch by stretch, and the last goes on", () => {
  const [calm] = flowOf(draw(5, 2, false));
  const [busy] = flowOf(draw(10, 2, false));
  const stay = [
    { ...calm!, days: 3 },
    { ...busy!, days: 1 },
  ];
  // 3 days at 10 L, then 20 L a day: 70 L after 3 + 40 / 20 days
  expect(computeMeanDays(stay, "t", 70)).toBeCloseTo(5, 12);
  expect(computeDayChances(stay, "t", 70, 6)).toEqual([0, 0, 0, 0, 1, 1]);
});

test("the chance of being full only grows, and the quantiles lie in order", () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(
          fc.double({ min: 0.1, max: 30, noNaN: true }),
          fc.double({ min: 0.1, max: 8, noNaN: true }),
          fc.boolean(),
        ),
        { minLength: 1, maxLength: 5 },
      ),
      fc.double({ min: 0, max: 200, noNaN: true }),
      (draws, roomL) => {
        const flow = flowOf(...draws.map(([litres, perDay, byChance]) => draw(litres, perDay, byChance)));
        const chances = computeDayChances(flow, "t", roomL, 20);
        chances.slice(1).forEach((chance, i) => {
          expect(chance).toBeGreaterThanOrEqual(chances[i]! - 1e-9);
        });
        for (const { lowL, medianL, highL } of computeLevelBands(flow, "t", roomL, 20)) {
          expect(lowL).toBeLessThanOrEqual(medianL);
          expect(medianL).toBeLessThanOrEqual(highL);
          expect(highL).toBeLessThanOrEqual(Math.max(roomL, 0) + 1e-9);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test("journeys drawn by chance agree with the exact distribution within four standard errors, day by day", () => {
  const journeys = 20_000;
  // whole tenths of a litre, so that the lattice does not round
  const cases = [
    { flow: flowOf(draw(5, 1.5), draw(0.6, 6)), roomL: 40 },
    { flow: flowOf(draw(18.9, 0.8), draw(5, 2), draw(3, 2, false)), roomL: 57 },
    { flow: flowOf(draw(1, 4)), roomL: 12 },
  ];
  for (const [i, { flow, roomL }] of cases.entries()) {
    const exact = computeDayChances(flow, "t", roomL, 12);
    const { stores } = simulateDays({
      stretches: flow,
      rooms: [{ storeId: "t", roomL }],
      days: 12,
      journeys,
      seed: 41 + i,
    })!;
    stores[0]!.chanceByDay.forEach((chance, day) => {
      const p = exact[day]!;
      const error = Math.sqrt(Math.max(p * (1 - p), 1 / journeys) / journeys);
      expect(Math.abs(chance - p)).toBeLessThan(4 * error + 1e-9);
    });
  }
});

test("litres are conserved in every run, with the fresh water ending the uses; the same seed gives the same journeys", () => {
  fc.assert(
    fc.property(networks, fc.integer({ min: 1, max: 1e9 }), fc.boolean(), (design, seed, byChance) => {
      const { stretches, stores } = evaluate(withUses(design, byChance)).balance;
      const input = {
        stretches,
        rooms: stores.map(({ store, roomL }) => ({ storeId: store.id, roomL: roomL.level })),
        days: 20,
        journeys: 30,
        seed,
      };
      const run = simulateDays(input)!;
      expect(run.takenL).toBeGreaterThan(0);
      expect(Math.abs(run.takenL - run.keptL)).toBeLessThan(1e-6 * Math.max(1, run.takenL));
      expect(simulateDays(input)).toEqual(run);
    }),
    { numRuns: 30 },
  );
});

// Uses of many kinds, at whatever fixtures a rig has.
function withUses(design: Design, byChance: boolean): Design {
  const uses = (["drinking", "cooking", "washUpBowl", "handsTeeth", "shower"] as const).map(
    (kind, i): Use => ({
      ...USUAL_USES[kind],
      id: kind.toLowerCase(),
      name: kind,
      byChance,
      fixtureId: design.fixtures[i % design.fixtures.length]!.id,
      vesselId: null,
    }),
  );
  const habits: Habits = {
    ...design.habits,
    ways: [{ id: "ordinary", name: "Ordinary", uses }],
    stretches: [{ wayId: "ordinary", days: 30 }],
  };
  return { ...design, habits };
}

test("more people never lengthen a stay, less fresh water neither", () => {
  fc.assert(
    fc.property(
      networks,
      fc.integer({ min: 1, max: 20 }),
      fc.integer({ min: 1, max: 20 }),
      fc.boolean(),
      (any, few, more, byChance) => {
        const design = withUses(any, byChance);
        const stay = (count: number, litres = 90) => {
          const { habits } = design;
          const people = [{ ...habits.people[0]!, count }];
          const vessels = [{ ...habits.vessels[0]!, litres }];
          return evaluate({ ...design, habits: { ...habits, people, vessels } }).balance.endsBy.worst!.days;
        };
        expect(stay(few + more)).toBeLessThanOrEqual(stay(few) + 1e-9);
        expect(stay(few, 40)).toBeLessThanOrEqual(stay(few, 90) + 1e-9);
      },
    ),
    { numRuns: 30 },
  );
});

// Ranges from practice, no source: they are what such a household tells.
test("two people standing wild with 102 L of fresh water and 57 L of grey room: gone in 3 to 5 days, full in 3 to 4", () => {
  const people = 2;
  const sum = (key: "takesL" | "sendsL") =>
    READY_USES.wild.reduce((litres, { kind, times, takesL }) => {
      const usual = USUAL_USES[kind];
      const share = takesL === undefined ? 1 : takesL / usual.takesL;
      return litres + (times ?? usual.times) * (usual.per === "personDay" ? people : 1) * usual[key] * share;
    }, 0);
  expect(102 / sum("takesL")).toBeGreaterThan(3);
  expect(102 / sum("takesL")).toBeLessThan(5);
  expect(57 / sum("sendsL")).toBeGreaterThan(3);
  expect(57 / sum("sendsL")).toBeLessThan(4);
});

test("every tank is a store of its own unless it is linked, and vessels count beside them", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const stores = listStores(design);
      const ids = stores.flatMap(({ tankIds, vesselIds }) => [...tankIds, ...vesselIds]);
      expect(new Set(ids).size).toBe(ids.length);
      expect(ids.length).toBe(design.tanks.length + design.habits.vessels.length);
    }),
  );
  const kranich = readDemo("kranich");
  const twin = { ...kranich.tanks[0]!, id: "twin", holds: "black" as const, ports: [], link: null };
  const before = evaluate(kranich).balance.stores.find(({ holds }) => holds === "grey")!;
  const after = evaluate({ ...kranich, tanks: [...kranich.tanks, twin] }).balance;
  expect(after.stores.find(({ holds }) => holds === "grey")).toEqual(before);
  expect(after.stores.find(({ store }) => store.id === "twin")!.days.level).toBeNull();
});

test("what one use takes and where it ends: fresh falls by all of it, the tank gains what comes down", () => {
  const kranich = readDemo("kranich");
  const { stores, stretches } = evaluate(kranich).balance;
  for (const { store, meanLPerDay, varianceL2PerDay, roomL, days } of stores) {
    const { draws } = stretches[0]!.flows.find(({ storeId }) => storeId === store.id)!;
    expect(sumDraws(draws)).toEqual({ meanL: meanLPerDay, varianceL2: varianceL2PerDay });
    expect(days.level).toBeCloseTo(roomL.level / meanLPerDay, 9);
  }
  expect(stores.map(({ store }) => store.id)).toContain(FRESH_ID);
});

test("with the rooms named, fresh water and the first waste tank end together", () => {
  fc.assert(
    fc.property(networks, (any) => {
      const design = withUses(any, true);
      const { balance } = evaluate(design);
      const even = findEvenRooms(balance);
      if (!even) return;
      const days = (storeId: string, roomL: number) => computeMeanDays(balance.stretches, storeId, roomL)!;
      const own = (id: string) => balance.stores.find(({ store }) => store.id === id)!.days.here!;
      expect(days(FRESH_ID, even.freshL)).toBeCloseTo(own(even.wasteId), 6);
      expect(days(even.wasteId, even.wasteL)).toBeCloseTo(own(FRESH_ID), 6);
    }),
    { numRuns: 30 },
  );
});

test("each rung of the ladder, done, lasts as long as it said and longer than before", () => {
  for (const name of ["kranich", "lesesaal", "otter", "puppenwagen"] as const) {
    const design = withUses(readDemo(name), true);
    const before = evaluate(design).balance.endsBy.level?.days ?? Number.POSITIVE_INFINITY;
    const rungs = listRungs(design);
    expect(rungs.length).toBeGreaterThan(0);
    for (const { edit, days, gainedDays } of rungs) {
      const outcome = applyEdit(design, edit);
      if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
      expect(evaluate(outcome.design).balance.endsBy.level!.days).toBeCloseTo(days, 9);
      expect(days - before).toBeCloseTo(gainedDays, 9);
      expect(gainedDays).toBeGreaterThan(0);
    }
    expect(rungs.map((r) => r.gainedDays)).toEqual([...rungs].map((r) => r.gainedDays).sort((a, b) => b - a));
  }
});

test("the rhythm holds as surely as was asked, a day more does not; with what is missing added the wished days hold", () => {
  fc.assert(
    fc.property(
      networks,
      fc.constantFrom(0.5, 0.8, 0.9, 0.99),
      fc.integer({ min: 1, max: 20 }),
      (any, certainty, wished) => {
        const { balance } = evaluate(withUses(any, true));
        for (const { chances, everyDays } of findRhythm(balance, certainty).stores) {
          if (everyDays === null) continue;
          if (everyDays > 0) expect(chances[everyDays - 1]!).toBeLessThanOrEqual(1 - certainty + 1e-9);
          expect(chances[everyDays]!).toBeGreaterThan(1 - certainty - 1e-9);
        }
        for (const { storeId, neededL } of listNeeds(balance, wished, certainty)) {
          const chances = computeDayChances(balance.stretches, storeId, neededL + 1e-6, wished);
          expect(chances.at(-1)).toBeLessThanOrEqual(1 - certainty + 1e-9);
        }
      },
    ),
    { numRuns: 25 },
  );
  expect(findDayAt([0, 0.2, 0.6], 0.5)).toBe(3);
  expect(findDayAt([0, 0.2, 0.6], 0.9)).toBeNull();
});

test("guests of the weekend count by the mean of the week, and whole while everyone is aboard", () => {
  const design = readDemo("kranich");
  const guests: Design = {
    ...design,
    habits: {
      ...design.habits,
      people: [...design.habits.people, { id: "g", name: "Guests", kind: "guest", count: 4, daysPerWeek: 2 }],
    },
  };
  const { balance, tanks } = evaluate(guests);
  expect(computeEveryoneAboard(design, evaluate(design).tanks)).toBeNull();
  const full = computeEveryoneAboard(guests, tanks)!;
  const fresh = (stores: (typeof balance)["stores"]) => stores.find(({ holds }) => holds === "fresh")!.meanLPerDay;
  const of = (count: number) =>
    fresh(
      evaluate({ ...design, habits: { ...design.habits, people: [{ ...design.habits.people[0]!, count }] } }).balance
        .stores,
    );
  expect(fresh(full.stores)).toBeCloseTo(of(6), 9);
  // 2 and 4 on two days of seven are 22 / 7 people: between two and six
  expect(fresh(balance.stores)).toBeCloseTo(of(2) + (of(6) - of(2)) * (2 / 7), 9);
  expect(full.endsBy.here!.days).toBeLessThan(balance.endsBy.here!.days);
});
