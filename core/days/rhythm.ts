import { type Accrual, LATTICE_L, listAccruals, MOST_DAYS } from "./accrual";
import type { Balance } from "./balance";
import { computeDayChances, type DayChances, findDayAt } from "./fullChance";
import { findLevels } from "./levelBands";

/** How sure a store's days are: the chance of being through by each day, and when four in five journeys are. */
export type StoreChances = {
  readonly storeId: string;
  readonly chances: DayChances;
  readonly lowDay: number | null;
  readonly highDay: number | null;
  /** Whole days that hold with the wanted certainty; null where it holds as long as it is followed. */
  readonly everyDays: number | null;
};

/** The rhythm of a stay: how many whole days every store holds with a certainty in (0, 1), and all of them together. */
export type Rhythm = {
  readonly stores: readonly StoreChances[];
  /** The fewest of them: dump and fill at one go; null where nothing ends within the days followed. */
  readonly togetherDays: number | null;
};

/** Finds the rhythm, with the room as the rig stands. Exact for stores that depend on their own uses only [C]. */
export function findRhythm({ stores, stretches }: Balance, certainty: number, days = MOST_DAYS): Rhythm {
  const found = stores.map(({ store, roomL }): StoreChances => {
    const chances = computeDayChances(stretches, store.id, roomL.here, days);
    // the first day on which it is more likely to be through than is allowed
    const over = chances.findIndex((chance) => chance > 1 - certainty + 1e-12);
    return {
      storeId: store.id,
      chances,
      lowDay: findDayAt(chances, 0.1),
      highDay: findDayAt(chances, 0.9),
      everyDays: over < 0 ? null : over,
    };
  });
  const every = found.flatMap(({ everyDays }) => (everyDays === null ? [] : [everyDays]));
  return { stores: found, togetherDays: every.length === 0 ? null : Math.min(...every) };
}

/** What one store would have to hold for a stay of so many days, L, and how much of that is missing. */
export type Need = { readonly storeId: string; readonly neededL: number; readonly missingL: number };

/** Room that is looked at, at most, L. */
const MOST_ROOM_L = 20_000;

/** What every store would have to hold so that a stay of whole days ≥ 1 holds with a certainty in (0, 1) [C]. */
export function listNeeds({ stores, stretches }: Balance, days: number, certainty: number): Need[] {
  return stores.map(({ store, roomL }): Need => {
    const accrual = listAccruals(stretches, store.id, days).at(-1);
    const neededL = accrual ? findLevels(accrual, [certainty], boundRoom(accrual))[0]! : 0;
    return { storeId: store.id, neededL, missingL: Math.max(0, neededL - roomL.here) };
  });
}

// So far above the mean that the chance of more is nothing beside any certainty that can be chosen.
function boundRoom({ regularL, uses }: Accrual): number {
  const chanceL = uses.reduce((sum, { rate, steps }) => sum + rate * steps * LATTICE_L, 0);
  const varianceL2 = uses.reduce((sum, { rate, steps }) => sum + rate * (steps * LATTICE_L) ** 2, 0);
  const largestL = uses.reduce((most, { steps }) => Math.max(most, steps * LATTICE_L), 0);
  return Math.min(MOST_ROOM_L, regularL + chanceL + 8 * Math.sqrt(varianceL2) + 8 * largestL);
}
