import { type Accrual, LATTICE_L, listAccruals, MOST_DAYS } from "./accrual";
import { computeCompoundPoisson } from "./compoundPoisson";
import type { FlowStretch } from "./flows";

/** The chance that a store is full, or empty, by the end of each day, from the first on. */
export type DayChances = readonly number[];

/**
 * The chance, day by day, that a store with `roomL` ≥ 0 of room has taken more than that: an exact compound Poisson
 * distribution of the uses that come by chance, and what comes regularly taken off the room first. Exact for a store that
 * depends on its own uses only; sizes on a lattice of 0.1 L, rounded up [P: Panjer 1981; C].
 */
export const computeDayChances = (
  stretches: readonly FlowStretch[],
  storeId: string,
  roomL: number,
  days = MOST_DAYS,
): DayChances => listAccruals(stretches, storeId, days).map((accrual) => computeChanceOver(accrual, roomL));

// More than is left of the room: 1 less the chance of so many steps or fewer.
function computeChanceOver({ regularL, uses }: Accrual, roomL: number): number {
  const leftL = roomL - regularL;
  if (leftL < -1e-9) return 1;
  if (uses.length === 0) return regularL > 0 && leftL <= 1e-9 ? 1 : 0;
  const p = computeCompoundPoisson(uses, Math.floor(leftL / LATTICE_L + 1e-9));
  return Math.min(1, Math.max(0, 1 - p.reduce((sum, value) => sum + value, 0)));
}

/** The day, counted from 1, by whose end the chance reaches a share in (0, 1); null where it does not within the days. */
export function findDayAt(chances: DayChances, share: number): number | null {
  const index = chances.findIndex((chance) => chance >= share - 1e-12);
  return index < 0 ? null : index + 1;
}
