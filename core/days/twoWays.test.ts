import fc from "fast-check";
import { livedDesigns } from "@/tests/livedArbitraries";
import type { Design } from "../design/design";
import type { Use } from "../design/habits";
import type { Drain } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { measureExtent } from "../geometry/solid";
import { findEvenRooms } from "./balance";
import { forecast } from "./forecast";
import { computeDayChances } from "./fullChance";
import { findRhythm, listNeeds } from "./rhythm";
import { computeSizeCurve, daysWith } from "./sizeCurve";
import { compareWasteSchools } from "./wasteSchools";

// The balance a second time, in the plainest way there is: each use is followed by itself, each day added up.

type Stored = { readonly holds: string; readonly tankIds: readonly string[]; readonly vesselIds: readonly string[] };

/** Tanks that lead into one another by whatever link, each with its own kind first in the file. */
function groupTanks({ tanks }: Design): string[][] {
  const groups: string[][] = [];
  for (const { id, link } of tanks) {
    const near = groups.filter(
      (group) =>
        group.includes(id) ||
        group.some((one) => link?.toTank === one || tanks.find((t) => t.id === one)!.link?.toTank === id),
    );
    const merged = [...new Set([...near.flat(), id])];
    for (const group of near) groups.splice(groups.indexOf(group), 1);
    groups.push(merged);
  }
  return groups;
}

function storesOf(design: Design): Stored[] {
  const { tanks, habits } = design;
  const holdsOf = (id: string) => tanks.find((tank) => tank.id === id)!.holds;
  const order = (ids: string[]) => tanks.filter(({ id }) => ids.includes(id)).map(({ id }) => id);
  const waste = groupTanks(design)
    .map(order)
    .filter(([first]) => holdsOf(first!) !== "fresh")
    .map((ids) => ({ holds: holdsOf(ids[0]!), tankIds: ids, vesselIds: [] as string[] }))
    .sort(
      (a, b) => tanks.findIndex(({ id }) => id === a.tankIds[0]) - tanks.findIndex(({ id }) => id === b.tankIds[0]),
    );
  const stores: Stored[] = [];
  const fresh = {
    holds: "fresh",
    tankIds: tanks.filter(({ holds }) => holds === "fresh").map(({ id }) => id),
    vesselIds: habits.vessels.filter(({ holds }) => holds === "fresh").map(({ id }) => id),
  };
  if (fresh.tankIds.length + fresh.vesselIds.length > 0) stores.push(fresh);
  const alone: Stored[] = [];
  for (const { id, holds, on } of habits.vessels) {
    if (holds === "fresh") continue;
    const mate = on === "tow" ? waste.find((one) => one.holds === holds) : undefined;
    if (mate) mate.vesselIds.push(id);
    else alone.push({ holds, tankIds: [], vesselIds: [id] });
  }
  return [...stores, ...waste, ...alone];
}

/** Where a use ends: in a tank or vessel by its id, overboard, on the ground; null where only hoses can say. */
function endOf({ lines }: Design, { kind, fixtureId, vesselId }: Use): string | null {
  if (vesselId !== null) return vesselId;
  let at = lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === fixtureId);
  if (!at) return kind === "toilet" && fixtureId === null ? null : "ground";
  while (at.to.kind === "junction") {
    const { lineId } = at.to;
    at = lines.find((line): line is Drain => line.kind === "drain" && line.id === lineId)!;
  }
  if (at.to.kind === "inlet") return at.to.tankId;
  if (at.to.kind === "vessel") return at.to.vesselId;
  if (at.to.kind === "sump") return null;
  return at.to.kind === "overboard" ? "overboard" : "ground";
}

const aboard = ({ habits }: Design): number =>
  habits.people.reduce((sum, one) => sum + (one.count * one.daysPerWeek) / 7, 0);
const timesOf = (design: Design, { times, per }: Use): number =>
  ({ personDay: times * aboard(design), day: times, week: times / 7 })[per];

/** Litres a day into, or out of, a store in a way of living; NaN where only hoses can say. */
function meanOf(design: Design, stored: Stored, wayId: string): number {
  const stores = storesOf(design);
  const way = design.habits.ways.find(({ id }) => id === wayId)!;
  return way.uses.reduce((sum, use) => {
    const times = timesOf(design, use);
    if (times === 0) return sum;
    const end = endOf(design, use);
    const into = stores.find(({ tankIds, vesselIds }) => end !== null && [...tankIds, ...vesselIds].includes(end));
    // a tenth of what a loop gives is made up with fresh
    if (stored.holds === "fresh") {
      if (use.from !== "fresh") return sum;
      return end === null ? Number.NaN : sum + times * use.takesL * (into?.holds === "loop" ? 0.1 : 1);
    }
    if (end === null) return use.sendsL > 0 ? Number.NaN : sum;
    const isHere = [...stored.tankIds, ...stored.vesselIds].includes(end);
    return isHere && stored.holds !== "loop" ? sum + times * use.sendsL : sum;
  }, 0);
}

/** Day by day until the room is gone; null where it never is. */
function daysOf({ habits }: Design, means: ReadonlyMap<string, number>, roomL: number): number | null {
  const lived = habits.stretches.flatMap(({ wayId, days }) => Array.from({ length: days }, () => wayId));
  let left = roomL;
  for (let day = 0; day < 100_000; day++) {
    const mean = means.get(lived[day] ?? lived.at(-1)!)!;
    if (mean > 0 && left <= mean + 1e-9) return day + left / mean;
    if (mean === 0 && day >= lived.length) return null;
    left -= mean;
  }
  return null;
}

test("what each store gains a day, its room, and the day it ends, added up use by use and day by day", () => {
  let compared = 0;
  fc.assert(
    fc.property(livedDesigns, (design) => {
      const { balance, tanks } = evaluate(design);
      const stores = storesOf(design);
      expect(balance.stores.map(({ store }) => [store.holds, store.tankIds, store.vesselIds])).toEqual(
        stores.map(({ holds, tankIds, vesselIds }) => [holds, tankIds, vesselIds]),
      );
      for (const [i, stored] of stores.entries()) {
        const told = balance.stores[i]!;
        const room = (key: "usableLevelL" | "usableHereL" | "usableWorstL") =>
          tanks.reduce((sum, tank) => sum + (stored.tankIds.includes(tank.tankId) ? tank[key] : 0), 0) +
          design.habits.vessels.reduce((sum, { id, litres }) => sum + (stored.vesselIds.includes(id) ? litres : 0), 0);
        const rooms = { level: room("usableLevelL"), here: room("usableHereL"), worst: room("usableWorstL") };
        for (const stand of ["level", "here", "worst"] as const) expect(told.roomL[stand]).toBeCloseTo(rooms[stand], 9);
        const means = new Map(design.habits.ways.map(({ id }) => [id, meanOf(design, stored, id)]));
        if ([...means.values()].some(Number.isNaN)) continue;
        compared += 1;
        expect(told.meanLPerDay).toBeCloseTo(means.get(design.habits.stretches[0]!.wayId)!, 9);
        for (const stand of ["level", "here", "worst"] as const) {
          const days = daysOf(design, means, rooms[stand]);
          if (days === null || days > 50_000) expect(told.days[stand] ?? Infinity).toBeGreaterThan(50_000);
          else expect(told.days[stand]).toBeCloseTo(days, 6);
        }
      }
      for (const stand of ["level", "here", "worst"] as const) {
        const ending = balance.stores.flatMap(({ days, store }) =>
          days[stand] === null ? [] : [{ id: store.id, days: days[stand] }],
        );
        const least = Math.min(...ending.map(({ days }) => days));
        expect(balance.endsBy[stand]?.days ?? Infinity).toBe(least);
        if (balance.endsBy[stand])
          expect(ending.find(({ days }) => days === least)!.id).toBe(balance.endsBy[stand].storeId);
      }
    }),
    { numRuns: 150 },
  );
  expect(compared).toBeGreaterThan(200);
});

test("what lands on the ground is what nothing carries", () => {
  let dry = 0;
  fc.assert(
    fc.property(livedDesigns, (design) => {
      const { uses } = design.habits.ways.find(({ id }) => id === design.habits.stretches[0]!.wayId)!;
      const ends = uses.map((use) => ({ use, end: endOf(design, use) }));
      if (ends.some(({ end }) => end === null)) return;
      const lost = ends
        .filter(({ end }) => end === "ground")
        .reduce((sum, { use }) => sum + use.sendsL * timesOf(design, use), 0);
      expect(evaluate(design).balance.groundLPerDay).toBeCloseTo(lost, 9);
      if (lost > 0) dry += 1;
    }),
    { numRuns: 100 },
  );
  expect(dry).toBeGreaterThan(10);
});

test("the rhythm is the last day that holds as surely as asked, by each store's own chances; together the fewest", () => {
  let [found, open] = [0, 0];
  fc.assert(
    fc.property(livedDesigns, (design) => {
      const { balance } = evaluate(design);
      const { certainty } = design.habits;
      const { stores, togetherDays } = findRhythm(balance, certainty, 30);
      const days = stores.map(({ storeId, everyDays, chances, lowDay, highDay }) => {
        const roomL = balance.stores.find(({ store }) => store.id === storeId)!.roomL.here;
        expect(chances).toEqual(computeDayChances(balance.stretches, storeId, roomL, 30));
        let held = 0;
        while (held < 30 && chances[held]! <= 1 - certainty + 1e-12) held += 1;
        expect(everyDays).toBe(held === 30 ? null : held);
        if (everyDays === null) open += 1;
        else found += 1;
        const by = (share: number) => chances.filter((chance) => chance < share - 1e-12).length;
        expect([lowDay ?? 31, highDay ?? 31]).toEqual([by(0.1) + 1, by(0.9) + 1]);
        return everyDays ?? Infinity;
      });
      expect(togetherDays ?? Infinity).toBe(Math.min(Infinity, ...days));
    }),
    { numRuns: 60 },
  );
  expect(Math.min(found, open)).toBeGreaterThan(10);
});

test("with what is missing a wished stay holds, and with a litre less than is needed it does not", () => {
  let tight = 0;
  fc.assert(
    fc.property(livedDesigns, fc.integer({ min: 1, max: 12 }), (design, days) => {
      const { balance } = evaluate(design);
      const { certainty } = design.habits;
      for (const { storeId, neededL, missingL } of listNeeds(balance, days, certainty)) {
        const { roomL } = balance.stores.find(({ store }) => store.id === storeId)!;
        expect(missingL).toBeCloseTo(Math.max(0, neededL - roomL.here), 9);
        const over = (litres: number) => computeDayChances(balance.stretches, storeId, litres, days).at(-1)!;
        expect(over(neededL + 1e-6)).toBeLessThanOrEqual(1 - certainty + 1e-9);
        if (neededL <= 1) continue;
        tight += 1;
        expect(over(neededL - 1)).toBeGreaterThan(1 - certainty - 1e-9);
      }
    }),
    { numRuns: 60 },
  );
  expect(tight).toBeGreaterThan(20);
});

test("fresh water and the waste that ends first last alike with the rooms that are named, on a stay of one kind", () => {
  let even = 0;
  fc.assert(
    fc.property(livedDesigns, (design) => {
      const { balance } = evaluate(design);
      const rooms = findEvenRooms(balance);
      const fresh = balance.stores.find(({ holds, days }) => holds === "fresh" && days.here !== null);
      const wastes = balance.stores.filter(({ holds, days }) => holds !== "fresh" && days.here !== null);
      expect(rooms !== null).toBe(design.habits.stretches.length === 1 && fresh !== undefined && wastes.length > 0);
      if (!rooms || !fresh) return;
      even += 1;
      const first = wastes.find(({ store }) => store.id === rooms.wasteId)!;
      expect(first.days.here).toBe(Math.min(...wastes.map(({ days }) => days.here!)));
      expect(rooms.freshL / fresh.meanLPerDay).toBeCloseTo(first.days.here!, 6);
      expect(rooms.wasteL / first.meanLPerDay).toBeCloseTo(fresh.days.here!, 6);
    }),
    { numRuns: 100 },
  );
  expect(even).toBeGreaterThan(5);
});

test("a store is followed exactly where no fresh water can end what comes into it, else drawn by chance", () => {
  const methods = new Set<string>();
  let plenty = 0;
  fc.assert(
    fc.property(livedDesigns, fc.constantFrom("level", "here", "worst"), (design, stand) => {
      const { balance } = evaluate(design);
      const told = forecast({ balance, stand, days: 12, journeys: 400, seed: 7 })!;
      for (const [
        i,
        { storeId, method, chanceByDay, roomL, dayAt, endsShare, meanDays, standardError },
      ] of told.entries()) {
        const own = balance.stores[i]!;
        methods.add(method);
        expect([storeId, roomL]).toEqual([own.store.id, own.roomL[stand]]);
        const wet = balance.stretches.flatMap(({ flows }) => {
          const of = (id: string) => flows.find((flow) => flow.storeId === id)?.draws.map(({ useId }) => useId) ?? [];
          const fresh = of(balance.stores.find(({ holds }) => holds === "fresh")?.store.id ?? "none");
          return of(storeId).filter((id) => fresh.includes(id));
        });
        expect(method).toBe(own.holds === "fresh" || wet.length === 0 ? "exact" : "simulated");
        const exact = computeDayChances(balance.stretches, storeId, own.roomL[stand], 12);
        if (method === "exact") expect(chanceByDay).toEqual(exact);
        // with fresh water that may give out a tank fills no sooner; four standard errors of 400 journeys at a half
        else for (const [day, chance] of chanceByDay.entries()) expect(chance).toBeLessThanOrEqual(exact[day]! + 0.1);
        // and just as soon where there is plenty; how many fresh water ended at all is drawn for whole uses
        const dry = told.find(({ holds }) => holds === "fresh")?.chanceByDay ?? [];
        for (const [day, chance] of chanceByDay.entries()) {
          if (dry.slice(0, day + 1).some((share) => share > 0.001)) continue;
          plenty += 1;
          expect(chance).toBeGreaterThanOrEqual(exact[day]! - 0.1);
        }
        const reached = (share: number) => chanceByDay.findIndex((chance) => chance >= share - 1e-12);
        expect([dayAt.p5, dayAt.p50, dayAt.p95]).toEqual(
          [0.05, 0.5, 0.95].map((share) => (reached(share) < 0 ? null : reached(share) + 1)),
        );
        expect(endsShare).toBeLessThanOrEqual(1);
        expect(meanDays === null).toBe(standardError === null);
        if (meanDays !== null) expect(meanDays).toBeLessThanOrEqual(12 + 1e-9);
      }
      expect(told.reduce((sum, { endsShare }) => sum + endsShare, 0)).toBeLessThanOrEqual(1 + 1e-9);
    }),
    { numRuns: 40 },
  );
  expect([...methods].sort()).toEqual(["exact", "simulated"]);
  expect(plenty).toBeGreaterThan(50);
});

test("the curve of sizes runs to twice today's room, each size as long as its own days and as sure as asked", () => {
  let [drawn, none] = [0, 0];
  fc.assert(
    fc.property(livedDesigns, (design) => {
      const { balance } = evaluate(design);
      const { certainty } = design.habits;
      for (const { store, roomL, meanLPerDay } of balance.stores) {
        const curve = computeSizeCurve(balance, store.id, certainty);
        if (meanLPerDay === 0 || roomL.here === 0) {
          none += 1;
          expect(curve).toEqual([]);
          continue;
        }
        drawn += 1;
        expect(curve.at(-1)!.litres).toBeCloseTo(2 * roomL.here, 9);
        for (const { litres, sureDays } of [curve[0]!, curve[11]!, curve.at(-1)!]) {
          if (sureDays === null) {
            // a year is as far as is looked, or twice the mean
            const { days } = daysWith(balance.stretches, store.id, litres, certainty);
            const horizon = Math.min(365, Math.max(2, Math.ceil((days ?? 365) * 2)));
            const chances = computeDayChances(balance.stretches, store.id, litres, horizon);
            expect(chances.at(-1)!).toBeLessThan(1 - certainty + 2e-9);
            continue;
          }
          const chances = computeDayChances(balance.stretches, store.id, litres, sureDays + 1);
          if (sureDays > 0) expect(chances[sureDays - 1]!).toBeLessThanOrEqual(1 - certainty + 2e-9);
          expect(chances[sureDays]!).toBeGreaterThan(1 - certainty - 2e-9);
        }
      }
      expect(computeSizeCurve(balance, "none", certainty)).toEqual([]);
    }),
    { numRuns: 25 },
  );
  expect(Math.min(drawn, none)).toBeGreaterThan(5);
});

test("with a canister what ends the stay is the first of all else; without a tank nothing hangs", () => {
  let compared = 0;
  fc.assert(
    fc.property(livedDesigns, (design) => {
      const [tank, canister, ground] = compareWasteSchools(design);
      if (!tank || !canister || !ground) return;
      compared += 1;
      const { balance } = evaluate(design);
      expect(tank.days).toBe(balance.endsBy.here?.days ?? null);
      const grey = design.tanks.filter(({ holds }) => holds === "grey");
      const lowest = Math.min(0, ...grey.map(({ atMm, solid }) => atMm.z + measureExtent(solid).min.z));
      expect(tank.hangsMm).toBeCloseTo(-lowest, 9);
      expect([canister.hangsMm, ground.hangsMm]).toEqual([0, 0]);
      // what does not end in a grey tank ends it as before
      const others = balance.stores.filter(({ holds, days }) => holds !== "grey" && days.here !== null);
      const least = Math.min(...others.map(({ days }) => days.here!));
      for (const { days } of [canister, ground]) expect(days ?? Infinity).toBeLessThanOrEqual(least + 1e-9);
    }),
    { numRuns: 60 },
  );
  expect(compared).toBeGreaterThan(20);
});
