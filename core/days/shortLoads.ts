import type { Design } from "../design/design";
import type { Use, Way } from "../design/habits";
import type { Fixture } from "../design/plumbing";

export type ShortLoad = { readonly use: Use; readonly way: Way; readonly machine: Fixture; readonly countedL: number };

/** A hair less is the rounding of what was typed, L. */
const NOTHING_L = 0.005;

/**
 * Loads of a washing machine, in the ways that are lived, for which less is counted than it takes by itself: what they send, or
 * what they draw of the fresh water. A person takes more or less at a tap; a machine takes what it takes. Source: the machine's figure [C].
 */
export function listShortLoads({ fixtures, habits }: Pick<Design, "fixtures" | "habits">): ShortLoad[] {
  const machines = new Map(fixtures.flatMap((one) => (one.kind === "washingMachine" ? [[one.id, one] as const] : [])));
  if (machines.size === 0) return [];
  const lived = new Set(habits.stretches.map(({ wayId }) => wayId));
  return habits.ways.flatMap((way) =>
    lived.has(way.id)
      ? way.uses.flatMap((use): ShortLoad[] => {
          const machine = use.fixtureId === null ? undefined : machines.get(use.fixtureId);
          if (!machine || use.kind !== "laundry" || use.times === 0) return [];
          const countedL = use.from === "fresh" ? Math.min(use.takesL, use.sendsL) : use.sendsL;
          return countedL < machine.volumePerUseL - NOTHING_L ? [{ use, way, machine, countedL }] : [];
        })
      : [],
  );
}
