import fc from "fast-check";
import type { Design } from "@/core/design/design";
import { type Habits, PERSON_KINDS, USE_KINDS, USE_RATES, type Use, type Vessel } from "@/core/design/habits";
import { networks } from "./arbitraries";
import { ALL_DEMOS } from "./demoRigs";

const litres = (max: number) => fc.integer({ min: 0, max: max * 10 }).map((tenths) => tenths / 10);
const people = fc.array(
  fc.record({
    kind: fc.constantFrom(...PERSON_KINDS),
    count: fc.integer({ min: 1, max: 5 }),
    daysPerWeek: fc.constantFrom(1, 2.5, 7),
  }),
  { minLength: 1, maxLength: 3 },
);
const vessels = fc.array(
  fc.record({
    holds: fc.constantFrom("fresh" as const, "grey" as const, "black" as const),
    litres: fc.integer({ min: 1, max: 80 }),
    on: fc.constantFrom("rig" as const, "tow" as const),
  }),
  { maxLength: 3 },
);
const uses = fc.array(
  fc.record({
    kind: fc.constantFrom(...USE_KINDS),
    from: fc.constantFrom("fresh" as const, "fresh" as const, "elsewhere" as const),
    takesL: litres(20),
    sendsL: litres(20),
    times: fc.constantFrom(0, 0.3, 1, 2, 4.5),
    per: fc.constantFrom(...USE_RATES),
    byChance: fc.boolean(),
    /** By which of the fixtures or vessels it goes, counted round; neither where it is 0. */
    goes: fc.constantFrom("fixture" as const, "fixture" as const, "vessel" as const, "nowhere" as const),
    which: fc.nat(20),
  }),
  { minLength: 1, maxLength: 6 },
);

/** How people live on a rig: whoever is aboard, whatever is done where, in one or two ways, stretch by stretch. */
const habits = fc.record({
  people,
  vessels,
  ways: fc.array(uses, { minLength: 1, maxLength: 2 }),
  stretches: fc.array(fc.record({ way: fc.nat(5), days: fc.integer({ min: 1, max: 9 }) }), {
    minLength: 1,
    maxLength: 3,
  }),
  certainty: fc.constantFrom(0.5, 0.8, 0.9, 0.99),
});

/** Rigs of all kinds, lived in: networks of drains, and every sample, with pumps, loops and heads. */
export const livedDesigns: fc.Arbitrary<Design> = fc
  .tuple(fc.oneof(networks, fc.constantFrom(...ALL_DEMOS)), habits)
  .map(([design, lived]): Design => {
    const carried = lived.vessels.map((one, i): Vessel => ({ ...one, id: `carried-${i}`, name: `Carried ${i}` }));
    const all = [...design.habits.vessels, ...carried];
    const ways = lived.ways.map((those, w) => ({
      id: `way-${w}`,
      name: `Way ${w}`,
      uses: those.map(({ goes, which, ...rest }, i): Use => {
        const fixture = goes === "fixture" ? design.fixtures[which % design.fixtures.length] : undefined;
        const wastes = all.filter(({ holds }) => holds !== "fresh");
        const vessel = goes === "vessel" ? wastes[which % Math.max(1, wastes.length)] : undefined;
        return {
          ...rest,
          id: `use-${i}`,
          name: `Use ${i}`,
          fixtureId: fixture?.id ?? null,
          vesselId: vessel?.id ?? null,
        };
      }),
    }));
    const own: Habits = {
      ...design.habits,
      people: lived.people.map((one, i) => ({ ...one, id: `people-${i}`, name: `People ${i}` })),
      vessels: all,
      ways,
      stretches: lived.stretches.map(({ way, days }) => ({ wayId: ways[way % ways.length]!.id, days })),
      certainty: lived.certainty,
    };
    return { ...design, habits: own };
  });
