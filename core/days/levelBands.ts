import { type Accrual, LATTICE_L, listAccruals } from "./accrual";
import { computeCompoundPoisson } from "./compoundPoisson";
import type { FlowStretch } from "./flows";

/** Level of a store at the end of one day, L from where it began: in the middle, and where four in five journeys lie. */
export type LevelBand = {
  readonly day: number;
  readonly lowL: number;
  readonly medianL: number;
  readonly highL: number;
};

/**
 * Level, day by day, of a store that depends on its own uses only, up to its room, L: quantiles of the exact compound Poisson
 * distribution with what comes regularly added. The day 0 is the beginning [P: Panjer 1981; C].
 */
export function computeLevelBands(
  stretches: readonly FlowStretch[],
  storeId: string,
  roomL: number,
  days: number,
): LevelBand[] {
  const bands = listAccruals(stretches, storeId, days).map((accrual, i): LevelBand => {
    const [low, median, high] = findLevels(accrual, [0.1, 0.5, 0.9], roomL);
    return { day: i + 1, lowL: low!, medianL: median!, highL: high! };
  });
  return [{ day: 0, lowL: 0, medianL: 0, highL: 0 }, ...bands];
}

/** The litres that are not exceeded with each of some chances, rising, none of them above `mostL`: quantiles [C]. */
export function findLevels({ regularL, uses }: Accrual, shares: readonly number[], mostL: number): number[] {
  if (uses.length === 0) return shares.map(() => Math.min(mostL, regularL));
  const most = Math.ceil(Math.max(0, mostL - regularL) / LATTICE_L);
  const p = computeCompoundPoisson(uses, most);
  const found: number[] = [];
  let sum = 0;
  for (let n = 0; n <= most && found.length < shares.length; n++) {
    sum += p[n]!;
    while (found.length < shares.length && sum >= shares[found.length]! - 1e-12) {
      found.push(Math.min(mostL, regularL + n * LATTICE_L));
    }
  }
  return shares.map((_, i) => found[i] ?? mostL);
}
