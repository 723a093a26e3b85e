import type { FixtureKind } from "../design/plumbing";

/**
 * Fixture units [P: IPC table 709.1, from memory, 95 %: lavatory 1, kitchen sink 2, shower 2, toilet 4; 80 %: bath and
 * washing machine 2]. What the table does not have counts as the least there is [T].
 */
export const FIXTURE_UNITS: Readonly<Record<FixtureKind, number>> = {
  kitchenSink: 2,
  basin: 1,
  showerTray: 2,
  bath: 2,
  washingMachine: 2,
  iceboxDrain: 1,
  urineDiverter: 1,
  outsideShower: 2,
  gravityToilet: 4,
};
