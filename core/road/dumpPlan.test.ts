import distance from "@turf/distance";
import fc from "fast-check";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import type { Stop } from "../record/journey";
import { addDays, toDate, toDays } from "./civil";
import { findLastDay, listMoments, type PlanInput, planDumps } from "./dumpPlan";
import { measureGreatCircleKm } from "./greatCircle";
import { livePlan } from "./livePlan";

const FROM = "2026-05-01";

const BALANCES = new Map(DEMO_NAMES.map((name) => [name, evaluate(readDemo(name)).balance] as const));

const stops = (most: number): fc.Arbitrary<Stop[]> =>
  fc
    .array(
      fc.record({
        gap: fc.integer({ min: 0, max: 2 }),
        nights: fc.integer({ min: 0, max: 2 }),
        grey: fc.boolean(),
        toilet: fc.boolean(),
        fresh: fc.boolean(),
        isClosed: fc.integer({ min: 0, max: 9 }).map((n) => n === 0),
        cost: fc.constantFrom(0, 3, 7),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list) => {
      let day = 0;
      return list.map(({ gap, nights, grey, toilet, fresh, isClosed, cost }, i): Stop => {
        const arrive = addDays(FROM, day + gap);
        day += gap + nights;
        const has = { grey, toilet, fresh };
        return {
          id: `s${i}`,
          name: `Stop ${i}`,
          // one in four is known by name only
          latDeg: i % 4 === 3 ? null : 50 + ((i * 7) % 5) / 10,
          lonDeg: i % 4 === 3 ? null : 10 + i / 5,
          arrive,
          nights,
          has,
          isClosed,
          cost,
          stands: null,
          note: "",
        };
      });
    });

const inputs = (most: number): fc.Arbitrary<PlanInput> =>
  fc
    .record({
      name: fc.constantFrom(...DEMO_NAMES),
      list: stops(most),
      isCarried: fc.boolean(),
      share: fc.double({ min: 0.2, max: 1, noNaN: true }),
      certainty: fc.constantFrom(0.5, 0.8, 0.9, 0.95),
      rateError: fc.constantFrom(0, 0.1, 0.3),
    })
    .map(({ name, list, isCarried, share, certainty, rateError }) => {
      const balance = BALANCES.get(name)!;
      const planned = balance.stores
        .filter(({ holds, meanLPerDay }) => holds !== "loop" && meanLPerDay > 0)
        .map(({ store, holds, roomL }) => ({
          storeId: store.id,
          holds,
          roomL: roomL.level,
          leftL: roomL.level * share,
          isCarried,
          rateError,
        }));
      return { stores: planned, stretches: balance.stretches, stops: list, from: FROM, certainty };
    });

// Every subset of the chances, tried: the plan uses no more services, and of as many none costs less.
test("against exhaustive search no plan with fewer services or less cost holds", () => {
  fc.assert(
    fc.property(inputs(4), (input) => {
      const plan = planDumps(input);
      const moments = listMoments(input);
      const chanceOf = rememberChances(input);
      let best: { served: number; cost: number } | null = null;
      for (let mask = 0; mask < 2 ** moments.length; mask++) {
        const chosen = moments.filter((_, i) => mask & (1 << i));
        const holds = chanceOf(chosen) >= input.certainty - 1e-9;
        const cost = chosen.reduce((sum, moment) => sum + moment.cost, 0);
        if (holds && (!best || chosen.length < best.served || (chosen.length === best.served && cost < best.cost)))
          best = { served: chosen.length, cost };
      }
      expect(plan.holds).toBe(best !== null);
      if (best) {
        expect(plan.services).toHaveLength(best.served);
        expect(plan.cost).toBeCloseTo(best.cost, 6);
      }
    }),
    { numRuns: 60 },
  );
});

// The product of the exact chances, by hand from the plan's own tables of one interval each; subsets share their intervals.
function rememberChances(input: PlanInput) {
  const known = new Map<string, number>();
  const chanceOfOne = (store: PlanInput["stores"][number], leftL: number, days: number): number => {
    const key = `${store.storeId} ${leftL} ${days}`;
    const chance =
      known.get(key) ??
      planDumps({
        ...input,
        stores: [{ ...store, leftL }],
        certainty: 0.5,
        stops: [{ ...NOWHERE, arrive: addDays(FROM, days) }],
      }).holdsWith;
    known.set(key, chance);
    return chance;
  };
  const lastDay = findLastDay(input);
  return (services: readonly ReturnType<typeof listMoments>[number][]): number =>
    input.stores.reduce((product, store) => {
      const days = services.filter(({ storeIds }) => storeIds.includes(store.storeId)).map(({ day }) => day);
      return [...days, lastDay].reduce((chance, to, i) => {
        const from = i === 0 ? 0 : days[i - 1]!;
        return to > from ? chance * chanceOfOne(store, i === 0 ? store.leftL : store.roomL, to - from) : chance;
      }, product);
    }, 1);
}

const NOWHERE: Stop = {
  id: "end",
  name: "End",
  latDeg: null,
  lonDeg: null,
  arrive: FROM,
  nights: 0,
  has: { grey: false, toilet: false, fresh: false },
  isClosed: false,
  cost: 0,
  stands: null,
  note: "",
};

test("a plan that holds keeps its certainty in 10,000 journeys with a seed of their own, within 2 in 100", () => {
  fc.assert(
    fc.property(inputs(8), fc.integer({ min: 1, max: 1e6 }), (input, seed) => {
      const plan = planDumps(input);
      fc.pre(plan.holds);
      const held = livePlan(input.stores, input.stretches, plan.services, findLastDay(input), {
        journeys: 10_000,
        seed,
      });
      expect(held).toBeGreaterThan(input.certainty - 0.02);
      // the exact chances are on the safe side of what is lived through
      expect(held).toBeGreaterThan(plan.holdsWith - 0.02);
    }),
    { numRuns: 12 },
  );
});

test("a stop that closes never makes it easier; a plan that cannot hold says from when", () => {
  fc.assert(
    fc.property(inputs(6), fc.nat(), (input, which) => {
      const plan = planDumps(input);
      const shut = input.stops.map((stop, i) =>
        i === which % input.stops.length ? { ...stop, isClosed: true } : stop,
      );
      const less = planDumps({ ...input, stops: shut });
      if (less.holds) {
        expect(plan.holds).toBe(true);
        expect(less.services.length).toBeGreaterThanOrEqual(plan.services.length);
      } else {
        expect(less.breaks!.day).toBeGreaterThan(0);
        expect(less.breaks!.day).toBeLessThanOrEqual(findLastDay(input));
      }
    }),
    { numRuns: 40 },
  );
});

// A general-purpose library: the calendar of the engine, in universal time.
test("days by the civil calendar are those of the engine, over four centuries, and come back", () => {
  fc.assert(
    fc.property(fc.integer({ min: -90_000, max: 90_000 }), (day) => {
      const iso = new Date(day * 86_400_000).toISOString().slice(0, 10);
      expect(toDate(day)).toBe(iso);
      expect(toDays(iso)).toBe(day);
    }),
  );
});

// The rate drawn over in a hundred small steps instead of taken in five places.
test("what is only learned is counted as the mean over all it may be, summed in small steps", () => {
  fc.assert(
    fc.property(inputs(1), fc.constantFrom(0.1, 0.2, 0.3), fc.integer({ min: 1, max: 8 }), (input, rateError, days) => {
      for (const store of input.stores) {
        const one = { ...input, stops: [{ ...NOWHERE, arrive: addDays(FROM, days) }], certainty: 0.5 };
        const chanceAt = (factor: number, error: number) => {
          const stretches = one.stretches.map((stretch) => ({
            ...stretch,
            flows: stretch.flows.map((flow) => ({
              ...flow,
              draws: flow.draws.map((draw) => ({ ...draw, perDay: draw.perDay * factor })),
            })),
          }));
          return 1 - planDumps({ ...one, stretches, stores: [{ ...store, rateError: error }] }).holdsWith;
        };
        const spread = Math.sqrt(Math.log1p(rateError ** 2));
        let [sum, weights] = [0, 0];
        for (let i = 0; i < 100; i++) {
          const z = -5 + (i + 0.5) / 10;
          const weight = Math.exp(-(z ** 2) / 2);
          sum += weight * chanceAt(Math.exp(spread * z - spread ** 2 / 2), 0);
          weights += weight;
        }
        expect(Math.abs(chanceAt(1, rateError) - sum / weights)).toBeLessThan(0.06);
      }
    }),
    { numRuns: 12 },
  );
});

// A general-purpose library on a sphere.
test("great circles come out as a library of geodesy has them", () => {
  const place = fc.record({
    latDeg: fc.double({ min: -89, max: 89, noNaN: true }),
    lonDeg: fc.double({ min: -180, max: 180, noNaN: true }),
  });
  fc.assert(
    fc.property(place, place, (a, b) => {
      const km = distance([a.lonDeg, a.latDeg], [b.lonDeg, b.latDeg], { units: "kilometers" });
      expect(measureGreatCircleKm(a, b)).toBeCloseTo(km, 1);
    }),
  );
});

test("a dump out of the way is used only where none on it does, and its kilometres are in the cost", () => {
  const [input] = fc.sample(inputs(1), { numRuns: 1, seed: 3 }) as [PlanInput];
  const at = (id: string, day: number, nights: number, lonDeg: number, latDeg: number, grey: boolean): Stop => ({
    id,
    name: id,
    latDeg,
    lonDeg,
    arrive: addDays("2026-05-01", day),
    nights,
    has: { grey, toilet: grey, fresh: grey },
    isClosed: false,
    cost: 0,
    stands: null,
    note: "",
  });
  const near = at("near", 2, 0, 10.5, 50, true);
  const far = at("far", 2, 0, 10.5, 51, true);
  const stops = [at("a", 0, 2, 10, 50, false), near, far, at("b", 2, 2, 11, 50, false)];
  const moments = listMoments({ ...input, stops, from: "2026-05-01" });
  const detour = (id: string) => moments.find(({ stopId }) => stopId === id)!.detourKm;
  expect(detour("near")).toBeLessThan(1);
  // a degree of latitude there and back, a third more by road, less what lies on the way
  expect(detour("far")).toBeGreaterThan(150);
  expect(detour("far")).toBeLessThan(290);
  expect(moments.find(({ stopId }) => stopId === "far")!.cost).toBeCloseTo(0.25 * detour("far"), 9);
  const plan = planDumps({ ...input, stops, from: "2026-05-01" });
  if (plan.holds && plan.services.length > 0) expect(plan.services[0]!.stopId).toBe("near");
});
