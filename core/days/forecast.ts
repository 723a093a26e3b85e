import type { HeldWater } from "../design/plumbing";
import type { Balance, BalanceStand } from "./balance";
import type { FlowStretch } from "./flows";
import { computeDayChances, type DayChances, findDayAt } from "./fullChance";
import { type SimulatedStore, simulateDays } from "./simulateDays";
import { FRESH_ID } from "./stores";

const SHARES = { p5: 0.05, p10: 0.1, p50: 0.5, p90: 0.9, p95: 0.95 } as const;

/** What becomes of one store over the days of a stay, and how that is known. */
export type StoreForecast = {
  readonly storeId: string;
  readonly holds: HeldWater;
  readonly meanLPerDay: number;
  readonly varianceL2PerDay: number;
  readonly roomL: number;
  /** Exact where it hangs on its own uses only; simulated where the fresh water may end them first. */
  readonly method: "exact" | "simulated";
  /** The day, counted from 1, on which it is full or gone, that so many stays in a hundred have come to; null where later. */
  readonly dayAt: Readonly<Record<keyof typeof SHARES, number | null>>;
  readonly chanceByDay: DayChances;
  /** Of the simulated stays that came to it: mean days, with its standard error. */
  readonly meanDays: number | null;
  readonly standardError: number | null;
  /** The share of simulated stays that it ended. */
  readonly endsShare: number;
};

export type ForecastInput = {
  readonly balance: Balance;
  readonly stand: BalanceStand;
  readonly days: number;
  readonly journeys: number;
  readonly seed: number;
};

/**
 * How a stay of 1 to 365 days goes, store by store: exact chances where a store hangs on its own uses only, simulated from use
 * to use where not; 1 to 1e6 journeys, repeated by their seed. Null when it was called off [C; P: Panjer 1981].
 */
export function forecast(
  { balance, stand, days, journeys, seed }: ForecastInput,
  onProgress?: (share: number) => boolean,
): StoreForecast[] | null {
  const { stores, stretches } = balance;
  const rooms = stores.map(({ store, roomL }) => ({ storeId: store.id, roomL: roomL[stand] }));
  const run = simulateDays({ stretches, rooms, days, journeys, seed }, onProgress);
  if (!run) return null;
  return stores.map(({ store, meanLPerDay, varianceL2PerDay, roomL }, i): StoreForecast => {
    const simulated = run.stores[i]!;
    const isExact = hangsOnItself(stretches, store.id);
    const chanceByDay = isExact ? computeDayChances(stretches, store.id, roomL[stand], days) : simulated.chanceByDay;
    const { meanDays, standardError, firstShare } = simulated;
    return {
      storeId: store.id,
      holds: store.holds,
      meanLPerDay,
      varianceL2PerDay,
      roomL: roomL[stand],
      method: isExact ? "exact" : "simulated",
      dayAt: listDays(chanceByDay),
      chanceByDay,
      meanDays,
      standardError,
      endsShare: firstShare,
    };
  });
}

const listDays = (chances: SimulatedStore["chanceByDay"]) =>
  Object.fromEntries(Object.entries(SHARES).map(([name, share]) => [name, findDayAt(chances, share)])) as Record<
    keyof typeof SHARES,
    number | null
  >;

// Fresh water is drawn whatever the tanks hold; a waste store by itself only if none of its uses needs fresh water.
function hangsOnItself(stretches: readonly FlowStretch[], storeId: string): boolean {
  if (storeId === FRESH_ID) return true;
  return stretches.every(({ flows }) => {
    const usesOf = (id: string) => flows.find((flow) => flow.storeId === id)?.draws.map(({ useId }) => useId) ?? [];
    const wet = new Set(usesOf(FRESH_ID));
    return usesOf(storeId).every((useId) => !wet.has(useId));
  });
}
