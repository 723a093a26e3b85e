import type { Habits } from "../design/design";

/** What ends the stay. */
export type Stay = {
  /** What the grey tanks hold together, L. */
  readonly usableL: number;
  readonly greyLPerDay: number;
  readonly freshLPerDay: number;
  readonly daysToGreyFull: number;
  readonly daysToFreshEmpty: number;
  readonly endedBy: "grey" | "fresh" | "both";
};

/**
 * Days until the grey tank is full and until the fresh water is gone, from habits and usable litres [0, ∞).
 * Drunk water empties the fresh tank and never reaches the grey one. Source: a balance [C].
 * Example: 2 people, 9 L down the sink, 2 L drunk, 90 L grey, 110 L fresh → 5 days each.
 */
export function computeStay(habits: Habits, usableL: number): Stay {
  const greyLPerDay = habits.people * habits.sinkLPerPersonDay;
  const freshLPerDay = greyLPerDay + habits.people * habits.drunkLPerPersonDay;
  const daysToGreyFull = usableL / greyLPerDay;
  const daysToFreshEmpty = habits.freshL / freshLPerDay;
  const gap = daysToGreyFull - daysToFreshEmpty;
  const endedBy = Math.abs(gap) < 1e-9 ? "both" : gap < 0 ? "grey" : "fresh";
  return { usableL, greyLPerDay, freshLPerDay, daysToGreyFull, daysToFreshEmpty, endedBy };
}
