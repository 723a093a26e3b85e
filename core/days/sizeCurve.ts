import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { buildResize } from "../design/resizeTank";
import { evaluate } from "../evaluate/evaluate";
import { findClearance, measureTankGaps } from "../fit/obstacleGaps";
import { computeTankLoads } from "../tanks/axleLoads";
import type { Balance } from "./balance";
import { computeMeanDays } from "./flows";
import { computeDayChances, findDayAt } from "./fullChance";

/** Days a store would last with so many litres of room. */
export type SizePoint = {
  readonly litres: number;
  /** On the mean; null where it never ends. */
  readonly days: number | null;
  /** Full, or empty, not before this day with the certainty that was asked; null where it does not end in a year. */
  readonly sureDays: number | null;
};

const STEPS = 24;
const MOST_TIMES = 2;

/**
 * Days against litres for one store, from a twelfth of twice today's room up to all of it, as the rig stands: mean, and with
 * a certainty in [0.5, 0.99] by the exact distribution of its own uses [C]. Empty where nothing comes into it.
 */
export function computeSizeCurve({ stores, stretches }: Balance, storeId: string, certainty: number): SizePoint[] {
  const found = stores.find(({ store }) => store.id === storeId);
  if (!found || found.meanLPerDay <= 0 || found.roomL.here <= 0) return [];
  const mostL = MOST_TIMES * found.roomL.here;
  return Array.from({ length: STEPS }, (_, i) => {
    const litres = (mostL * (i + 1)) / STEPS;
    return { litres, ...daysWith(stretches, storeId, litres, certainty) };
  });
}

/** The same for one size: mean days, and the day before which it ends no oftener than the certainty leaves. */
export function daysWith(
  stretches: Balance["stretches"],
  storeId: string,
  litres: number,
  certainty: number,
): Omit<SizePoint, "litres"> {
  const days = computeMeanDays(stretches, storeId, litres);
  // the day it ends with more than the chance that is left is one too many
  const horizon = Math.min(365, Math.max(2, Math.ceil((days ?? 365) * 2)));
  const endsOn = findDayAt(computeDayChances(stretches, storeId, litres, horizon), 1 - certainty + 1e-9);
  return { days, sureDays: endsOn === null ? null : endsOn - 1 };
}

/** Where something else ends it: the largest room the space gives by length, and the litres an axle still bears, L. */
export type SizeBounds = {
  /** Room of the longest tank that still keeps clear of everything; null where the store is no single tank. */
  readonly fitsL: number | null;
  /** Room at which the first axle with a known rating is full; null where none is known or the store is no single tank. */
  readonly axleL: number | null;
};

const GROW_STEPS = 20;

/** Finds both by making the tank longer step by step up to twice its length, its rear end kept, each step evaluated [C]. */
export function findSizeBounds(design: Design, storeId: string): SizeBounds {
  const found = evaluate(design).balance.stores.find(({ store }) => store.id === storeId);
  const ids = found?.store.tankIds ?? [];
  const tank = design.tanks.find(({ id }) => id === ids[0]);
  if (!found || !tank || ids.length !== 1) return { fitsL: null, axleL: null };
  let fitsL: number | null = null;
  let axleL: number | null = null;
  let isClear = true;
  for (let i = 0; i <= GROW_STEPS; i++) {
    const outcome = applyEdit(
      design,
      buildResize(tank, { lengthMm: Math.round(tank.solid.lengthMm * (1 + i / GROW_STEPS)) }),
    );
    if (!outcome.ok) break;
    const sized = outcome.design.tanks.find(({ id }) => id === tank.id)!;
    const roomL = evaluate(outcome.design).balance.stores.find(({ store }) => store.id === storeId)?.roomL.here ?? 0;
    const isOver = (computeTankLoads(outcome.design)?.axles ?? []).some(
      ({ mostKg, spareKg }) => spareKg !== null && mostKg > spareKg,
    );
    if (isOver && axleL === null) axleL = roomL;
    isClear &&= measureTankGaps(outcome.design, sized).every(
      ({ obstacle, gapMm }) => gapMm >= (findClearance(design.rules, obstacle).value ?? 0) - 1e-6,
    );
    if (isClear) fitsL = roomL;
  }
  return { fitsL, axleL };
}

/** What one litre more of room is worth in a store, days; null where it never ends [C: 1/L a day of the last stretch it reaches]. */
export const computeDaysPerLitre = ({ stretches }: Balance, storeId: string, litres: number): number | null => {
  const [now, more] = [computeMeanDays(stretches, storeId, litres), computeMeanDays(stretches, storeId, litres + 1)];
  return now === null || more === null ? null : more - now;
};
