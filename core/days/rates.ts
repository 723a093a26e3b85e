import type { Habits, Person, Use, Way } from "../design/habits";

const DAYS_PER_WEEK = 7;

/** How many people are aboard on a mean day: each group's count by its days of the week. */
export const countPeople = (people: readonly Person[]): number =>
  people.reduce((sum, { count, daysPerWeek }) => sum + (count * daysPerWeek) / DAYS_PER_WEEK, 0);

/** How often a use happens on a mean day. Source: arithmetic [C]. */
export function computeTimesPerDay({ times, per }: Pick<Use, "times" | "per">, people: number): number {
  if (per === "personDay") return times * people;
  return per === "day" ? times : times / DAYS_PER_WEEK;
}

/** The way a stay begins in, and how long each of its stretches lasts; the last goes on. */
export type LivedStretch = { readonly way: Way; readonly days: number };

export function listStretches({ ways, stretches }: Pick<Habits, "ways" | "stretches">): LivedStretch[] {
  return stretches.flatMap(({ wayId, days }) => {
    const way = ways.find(({ id }) => id === wayId);
    return way ? [{ way, days }] : [];
  });
}

/** One kind of event that fills or empties a store: how much at a time, how often a day, and whether by chance. */
export type Draw = {
  readonly useId: string;
  readonly litres: number;
  readonly perDay: number;
  readonly byChance: boolean;
};
