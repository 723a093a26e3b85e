import type { Design } from "./design";

/** The id of a rig without its plumbing. */
export const toBareId = (id: string): string => `${id.slice(0, 35)}-bare`;

/** The same rig with what is under and in it, and nothing of the plumbing: where a builder begins. */
export function stripPlumbing(design: Design): Design {
  return {
    ...design,
    id: toBareId(design.id),
    name: `${design.name}, bare`.slice(0, 80),
    note: "",
    fixtures: [],
    tanks: [],
    lines: [],
    gear: [],
    states: [],
    // what was done at a fixture waits for the next one
    habits: {
      ...design.habits,
      flows: [],
      ways: design.habits.ways.map((way) => ({ ...way, uses: way.uses.map((use) => ({ ...use, fixtureId: null })) })),
    },
  };
}
