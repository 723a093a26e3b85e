import type { Design } from "../design/design";
import type { Use, Way } from "../design/habits";
import { isToiletUse } from "./isToiletUse";

type Plumbed = Pick<Design, "gear" | "fixtures">;

/**
 * What one flush of the toilet a use is done on takes, L; 0 where it takes no water. A use with a fixture is done on that; one
 * without on the toilet with a pump, of several the one that takes most. Null where there is no toilet for it [C].
 */
export function findFlushL({ gear, fixtures }: Plumbed, use: Use): number | null {
  if (!isToiletUse(use)) return null;
  if (use.fixtureId !== null) {
    const fixture = fixtures.find(({ id }) => id === use.fixtureId);
    if (fixture?.kind === "urineDiverter") return 0;
    return fixture?.kind === "gravityToilet" ? fixture.volumePerUseL : null;
  }
  // what is carried to a vessel was never flushed through the toilet that is there
  if (use.vesselId !== null) return null;
  const flushes = gear.flatMap(({ spec }) => (spec.kind === "bowl" ? [spec.flushL] : []));
  return flushes.length > 0 ? Math.max(...flushes) : null;
}

export type ShortFlush = { readonly use: Use; readonly way: Way; readonly flushL: number; readonly countedL: number };

/** A hair less is the rounding of what was typed, L. */
const NOTHING_L = 0.005;

/**
 * Uses of a toilet, in the ways that are lived, for which less is counted than its flush takes: what they send, or what they draw
 * of the fresh water. The tank is then said to last longer than it does.
 */
export function listShortFlushes(design: Design): ShortFlush[] {
  const { ways, stretches } = design.habits;
  const lived = [...new Set(stretches.map(({ wayId }) => wayId))];
  return lived.flatMap((wayId) =>
    ways
      .filter(({ id }) => id === wayId)
      .flatMap((way) =>
        way.uses.flatMap((use): ShortFlush[] => {
          const flushL = findFlushL(design, use);
          const countedL = use.from === "fresh" ? Math.min(use.takesL, use.sendsL) : use.sendsL;
          const isShort = flushL !== null && use.times > 0 && countedL < flushL - NOTHING_L;
          return isShort ? [{ use, way, flushL, countedL }] : [];
        }),
      ),
  );
}
