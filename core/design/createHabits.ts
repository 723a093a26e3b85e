import type { Habits, Use } from "./habits";

/** What four plain figures say of a household: they were all that older files held, and all the wizard asks. */
export type PlainHabits = {
  readonly people: number;
  readonly sinkLPerPersonDay: number;
  readonly drunkLPerPersonDay: number;
  readonly freshL: number;
};

/** The certainty the days are told with until the builder chooses another: nine in ten. */
export const USUAL_CERTAINTY = 0.9;

/**
 * Habits that come to the same days as four plain figures: one group of people, one way of living, and what is carried as a
 * vessel of fresh water.
 */
export function createHabits(
  { people, sinkLPerPersonDay, drunkLPerPersonDay, freshL }: PlainHabits,
  fixtureId: string | null,
): Habits {
  const plain = { from: "fresh", vesselId: null, times: 1, per: "personDay", byChance: false } as const;
  const uses: Use[] = [
    {
      id: "drains",
      name: "Down the drains",
      kind: "drains",
      takesL: sinkLPerPersonDay,
      sendsL: sinkLPerPersonDay,
      fixtureId,
      ...plain,
    },
    { id: "drunk", name: "Drunk", kind: "drinking", takesL: drunkLPerPersonDay, sendsL: 0, fixtureId: null, ...plain },
  ];
  return {
    people: [{ id: "adults", name: "Adults", kind: "adult", count: people, daysPerWeek: 7 }],
    ways: [{ id: "ordinary", name: "Ordinary days", uses }],
    stretches: [{ wayId: "ordinary", days: 30 }],
    vessels: [{ id: "fresh-water", name: "Fresh water carried", holds: "fresh", litres: freshL, on: "rig" }],
    flows: [],
    certainty: USUAL_CERTAINTY,
  };
}
