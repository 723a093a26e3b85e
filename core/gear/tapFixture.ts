import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import type { Fixture, FixtureKind } from "../design/plumbing";

/** What a tap over each kind of fixture is used for; null where none is. */
export const TAP_USE_OF = {
  kitchenSink: "drinking",
  basin: "washing",
  showerTray: "shower",
  bath: "washing",
  outsideShower: "shower",
  washingMachine: "washing",
  iceboxDrain: null,
  urineDiverter: null,
  gravityToilet: null,
} as const satisfies Readonly<Record<FixtureKind, "drinking" | "washing" | "shower" | null>>;

/** The fixture a tap stands over; one that names none is taken for the one over a fixture of its use that no tap names. */
export function findTapFixture({ fixtures, gear }: Pick<Design, "fixtures" | "gear">, { spec }: GearOf<"tap">) {
  if (spec.fixtureId !== null) return fixtures.find(({ id }) => id === spec.fixtureId);
  const named = new Set(gear.flatMap((one) => (one.spec.kind === "tap" ? [one.spec.fixtureId] : [])));
  return fixtures.find(({ id, kind }: Fixture) => TAP_USE_OF[kind] === spec.use && !named.has(id));
}
