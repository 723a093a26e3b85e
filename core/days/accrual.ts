import type { FlowStretch } from "./flows";

/** Step of the lattice, L: uses by chance are rounded up to it, on the safe side. */
export const LATTICE_L = 0.1;
/** A store is followed so many days at most. */
export const MOST_DAYS = 60;

/** What has come into a store by the end of a day: what runs evenly, L, and how often each size of use is to be expected. */
export type Accrual = {
  readonly regularL: number;
  readonly uses: readonly { readonly rate: number; readonly steps: number }[];
};

/** One accrual for each day from the first on, stretch after stretch; the last stretch goes on. Source: a sum [C]. */
export function listAccruals(stretches: readonly FlowStretch[], storeId: string, days: number): Accrual[] {
  const rates = new Map<number, number>();
  let regularL = 0;
  return listDays(stretches, days).map((stretch) => {
    for (const { litres, perDay, byChance } of stretch.flows.find((flow) => flow.storeId === storeId)?.draws ?? []) {
      if (!byChance) {
        regularL += litres * perDay;
        continue;
      }
      const steps = Math.max(1, Math.ceil(litres / LATTICE_L - 1e-9));
      rates.set(steps, (rates.get(steps) ?? 0) + perDay);
    }
    return { regularL, uses: [...rates].map(([steps, rate]) => ({ steps, rate })) };
  });
}

// The stretch each day is lived in.
function listDays(stretches: readonly FlowStretch[], days: number): FlowStretch[] {
  const lived = stretches.flatMap((stretch) => Array.from({ length: Math.min(stretch.days, days) }, () => stretch));
  const last = stretches.at(-1);
  return Array.from({ length: days }, (_, day) => lived[day] ?? last).filter((stretch) => stretch !== undefined);
}
