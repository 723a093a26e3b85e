import type { FlowStretch } from "./flows";
import { createRandom } from "./random";
import { FRESH_ID } from "./stores";

export type SimulatedStore = {
  readonly storeId: string;
  /** Mean of the days of those journeys that came to it, and its standard error; null where none did. */
  readonly meanDays: number | null;
  readonly standardError: number | null;
  /** In how many journeys of a hundred it was the first to end the stay. */
  readonly firstShare: number;
  /** The chance of being through by the end of each day, from the first on. */
  readonly chanceByDay: readonly number[];
};

export type Simulation = {
  readonly journeys: number;
  readonly days: number;
  readonly stores: readonly SimulatedStore[];
  /** Litres that went in and are still there or went over, summed over all journeys: nothing is lost. */
  readonly takenL: number;
  readonly keptL: number;
};

export type SimulationInput = {
  readonly stretches: readonly FlowStretch[];
  readonly rooms: readonly { readonly storeId: string; readonly roomL: number }[];
  readonly days: number;
  readonly journeys: number;
  readonly seed: number;
};

// Looked up once: they are asked for at every use of every journey.
const { log, min } = Math;
const NEVER = Number.POSITIVE_INFINITY;

/**
 * Journeys from use to use: uses by chance come as a Poisson process, the regular ones run evenly; a use that finds too little
 * fresh water does not happen, and neither does what it would have sent down. Days [1, 365], journeys [1, 1e6]; the same seed
 * gives the same journeys. `onJourney` is told the share done; false stops. Source: event by event [C].
 */
export function simulateDays(
  { stretches, rooms, days, journeys, seed }: SimulationInput,
  onJourney: (share: number) => boolean = () => true,
): Simulation | null {
  const random = createRandom(seed);
  const plans = stretches.map((stretch) =>
    buildPlan(
      stretch,
      rooms.map(({ storeId }) => storeId),
    ),
  );
  const count = rooms.length;
  const fresh = rooms.findIndex(({ storeId }) => storeId === FRESH_ID);
  const through = rooms.map(() => new Float64Array(journeys).fill(NEVER));
  const firsts = new Array<number>(count).fill(0);
  let [takenL, keptL] = [0, 0];
  const roomsL = Float64Array.from(rooms, ({ roomL }) => roomL);
  const level = new Float64Array(count);
  const done = new Float64Array(count);
  for (let journey = 0; journey < journeys; journey++) {
    level.fill(0);
    done.fill(NEVER);
    let start = 0;
    for (const [i, plan] of plans.entries()) {
      const end = i === plans.length - 1 ? days : Math.min(days, start + plan.days);
      if (end > start) takenL += runStretch(plan, { level, done, roomsL, fresh, random, start, end });
      start = end;
      if (start >= days) break;
    }
    let first = -1;
    for (let s = 0; s < count; s++) {
      through[s]![journey] = done[s]!;
      keptL += level[s]!;
      if (done[s]! < NEVER && (first < 0 || done[s]! < done[first]!)) first = s;
    }
    if (first >= 0) firsts[first]! += 1;
    if (journey % 500 === 499 && !onJourney((journey + 1) / journeys)) return null;
  }
  const stores = rooms.map(({ storeId }, s): SimulatedStore => {
    const sorted = through[s]!.sort();
    const ended = sorted.filter((value) => Number.isFinite(value));
    const mean = ended.length > 0 ? ended.reduce((sum, v) => sum + v, 0) / ended.length : null;
    const variance =
      mean === null ? 0 : ended.reduce((sum, v) => sum + (v - mean) ** 2, 0) / Math.max(1, ended.length - 1);
    return {
      storeId,
      meanDays: mean,
      standardError: mean === null ? null : Math.sqrt(variance / ended.length),
      firstShare: firsts[s]! / journeys,
      chanceByDay: Array.from({ length: days }, (_, d) => countUpTo(sorted, d + 1) / journeys),
    };
  });
  return { journeys, days, stores, takenL, keptL };
}

type Plan = {
  readonly days: number;
  /** Uses by chance: how often together, and each one's share, piled up, with what it takes and sends store by store. */
  readonly rate: number;
  readonly piled: readonly number[];
  readonly events: readonly (readonly { readonly store: number; readonly litres: number }[])[];
  /** What runs evenly, L a day, store by store: of uses that need fresh water, and of the others. */
  readonly withFresh: Float64Array;
  readonly without: Float64Array;
  readonly isEven: boolean;
};

// One use draws on fresh water and fills a waste store at the same time: its draws are one event.
function buildPlan({ days, flows }: FlowStretch, storeIds: readonly string[]): Plan {
  const byUse = new Map<string, { perDay: number; byChance: boolean; parts: { store: number; litres: number }[] }>();
  for (const { storeId, draws } of flows) {
    const store = storeIds.indexOf(storeId);
    if (store < 0) continue;
    for (const { useId, litres, perDay, byChance } of draws) {
      const known = byUse.get(useId) ?? { perDay, byChance, parts: [] };
      known.parts.push({ store, litres });
      byUse.set(useId, known);
    }
  }
  const chancy = [...byUse.values()].filter(({ byChance }) => byChance);
  const regular = [...byUse.values()].filter(({ byChance }) => !byChance);
  const rate = chancy.reduce((sum, { perDay }) => sum + perDay, 0);
  const fresh = storeIds.indexOf(FRESH_ID);
  const withFresh = new Float64Array(storeIds.length);
  const without = new Float64Array(storeIds.length);
  for (const { perDay, parts } of regular) {
    const rates = parts.some(({ store }) => store === fresh) ? withFresh : without;
    for (const { store, litres } of parts) rates[store]! += litres * perDay;
  }
  let pile = 0;
  return {
    days,
    rate,
    piled: chancy.map(({ perDay }) => {
      pile += perDay / rate;
      return pile;
    }),
    events: chancy.map(({ parts }) => parts),
    withFresh,
    without,
    isEven: regular.length > 0,
  };
}

type Run = {
  readonly level: Float64Array;
  readonly done: Float64Array;
  readonly roomsL: Float64Array;
  readonly fresh: number;
  readonly random: () => number;
  readonly start: number;
  readonly end: number;
};

// Litres taken from the start of a stretch to its end.
function runStretch(plan: Plan, run: Run): number {
  const { random, start, end } = run;
  let taken = 0;
  let now = start;
  for (;;) {
    const next = plan.rate > 0 ? now - log(1 - random()) / plan.rate : NEVER;
    const until = min(next, end);
    if (plan.isEven) taken += runEvenly(plan, run, now, until);
    now = until;
    if (next >= end) return taken;
    const pick = random();
    let index = 0;
    while (index < plan.piled.length - 1 && pick >= plan.piled[index]!) index++;
    taken += runUse(plan.events[index]!, run, now);
  }
}

function runUse(parts: Plan["events"][number], { level, done, roomsL, fresh }: Run, now: number): number {
  for (const { store, litres } of parts) {
    if (store !== fresh || level[store]! + litres <= roomsL[store]! + 1e-9) continue;
    // there is not enough left for it: it does not happen
    if (done[store] === NEVER) done[store] = now;
    return 0;
  }
  let taken = 0;
  for (const { store, litres } of parts) {
    level[store]! += litres;
    taken += litres;
    if (level[store]! > roomsL[store]! + 1e-9 && done[store] === NEVER) done[store] = now;
  }
  return taken;
}

// What runs evenly from one moment to the next; it stops with the fresh water where it needs any.
function runEvenly(
  { withFresh, without }: Plan,
  { level, done, roomsL, fresh }: Run,
  from: number,
  to: number,
): number {
  let dryAt = to;
  const drain = fresh < 0 ? 0 : withFresh[fresh]!;
  if (drain > 0) {
    const left = roomsL[fresh]! - level[fresh]!;
    dryAt = Math.min(to, Math.max(from, from + left / drain));
    if (from + left / drain <= to && done[fresh] === NEVER) done[fresh] = dryAt;
  }
  let taken = 0;
  for (let store = 0; store < level.length; store++) {
    const before = level[store]!;
    const litres = withFresh[store]! * (dryAt - from) + without[store]! * (to - from);
    level[store] = before + litres;
    taken += litres;
    if (store === fresh || litres <= 0 || done[store] !== NEVER || level[store]! < roomsL[store]! - 1e-9) continue;
    // as long as there is fresh water it fills faster than after
    const left = Math.max(0, roomsL[store]! - before);
    const own = without[store]!;
    const both = own + withFresh[store]!;
    const wet = both * (dryAt - from);
    done[store] = left <= wet || own === 0 ? from + left / both : dryAt + (left - wet) / own;
  }
  return taken;
}

function countUpTo(sorted: Float64Array, day: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! <= day) low = middle + 1;
    else high = middle;
  }
  return low;
}
