import { computeTimesPerDay, countPeople, listStretches } from "../days/rates";
import { findUseEnd, listStores } from "../days/stores";
import type { Design } from "../design/design";
import type { Use } from "../design/habits";
import { buildNetwork } from "../falls/network";
import { type ChangeReason, computeLoopFigures, type LoopFigures } from "./loopFigures";

/** How the loop's water and current fit the days. */
export type LoopRhythm = {
  readonly showersPerDay: number;
  /** Days until its water or a filter is changed, two at most; null while nobody showers. */
  readonly everyDays: number | null;
  /** What decides it: what showers bring, or the days that warm water is kept. */
  readonly because: ChangeReason | "standing";
  readonly figures: LoopFigures;
  /** Pump and lamp, Wh a day. */
  readonly whPerDay: number;
  /** Fresh water a day that the loop spares, L. */
  readonly sparedLPerDay: number;
};

/** From the showers of the way a stay begins in; null without a loop [C on T: what a shower sheds]. */
export function computeLoopRhythm(design: Design): LoopRhythm | null {
  const figures = computeLoopFigures(design);
  if (!figures) return null;
  const showersPerDay = countShowersPerDay(design);
  const byShowers = showersPerDay > 0 ? figures.showers / showersPerDay : Number.POSITIVE_INFINITY;
  return {
    showersPerDay,
    everyDays: showersPerDay > 0 ? Math.min(figures.mostDays, byShowers) : null,
    because: byShowers < figures.mostDays ? figures.because : "standing",
    figures,
    whPerDay: (figures.pumpWh + figures.lampWh) * showersPerDay,
    sparedLPerDay: Math.max(0, figures.freshL - figures.lostL) * showersPerDay,
  };
}

/** The same days without a loop: a larger fresh tank, and as much room for waste. */
export type PlainSchool = {
  readonly days: number;
  readonly litres: number;
  readonly kg: number;
  readonly daysGained: number;
};

/**
 * What larger tanks would have to hold instead of the loop over so many days > 0, L each of fresh and of waste, and the
 * weight that is carried for it, kg: a litre is fresh or waste, never both, and the loop's own water is saved [C]. Days
 * gained are against the same tanks without the loop, whose fresh water would go for showers too.
 */
export function comparePlainSchool(
  { sparedLPerDay, figures }: LoopRhythm,
  days: number,
  meanLPerDay: number,
): PlainSchool {
  const litres = sparedLPerDay * days;
  const room = meanLPerDay * days;
  return {
    days,
    litres,
    kg: Math.max(0, litres - figures.loopL),
    daysGained: meanLPerDay > 0 ? days - room / (meanLPerDay + sparedLPerDay) : 0,
  };
}

// In the way a stay begins in; only what runs back into the loop is showered on it.
function countShowersPerDay(design: Design): number {
  const { habits } = design;
  const people = countPeople(habits.people);
  const uses = (listStretches(habits)[0]?.way.uses ?? []).filter(({ kind }) => kind === "shower");
  if (uses.length === 0) return 0;
  const network = buildNetwork(design);
  const stores = listStores(design);
  const isLooped = (use: Use): boolean => {
    const end = findUseEnd(network, stores, use);
    return end.kind === "store" && stores.some(({ id, holds }) => id === end.id && holds === "loop");
  };
  return uses.reduce((sum, use) => (isLooped(use) ? sum + computeTimesPerDay(use, people) : sum), 0);
}
