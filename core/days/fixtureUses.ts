import type { UseKind } from "../design/habits";
import type { FixtureKind } from "../design/plumbing";

const SINKS: readonly FixtureKind[] = ["kitchenSink", "basin"];

/** The fixtures a use is done at, the likeliest first; what is not named is done at a sink. Common practice, no source [T]. */
const FIXTURE_FOR: Readonly<Partial<Record<UseKind, readonly FixtureKind[]>>> = {
  shower: ["showerTray", "bath", "outsideShower"],
  handsTeeth: ["basin", "kitchenSink"],
  laundry: ["washingMachine", "showerTray"],
  toilet: ["gravityToilet"],
  urine: ["urineDiverter", "gravityToilet"],
};

export const listFixturesFor = (kind: UseKind): readonly FixtureKind[] => FIXTURE_FOR[kind] ?? SINKS;

/** How far down the list of what suits a use a fixture stands, from 0; beyond every list where it does not suit it at all. */
export function rankFixture(use: UseKind, fixture: FixtureKind): number {
  const rank = listFixturesFor(use).indexOf(fixture);
  return rank < 0 ? Number.POSITIVE_INFINITY : rank;
}

/**
 * What a fixture is there for, the usual first: something of that is to be counted at it. Empty for toilets, which are counted
 * by what is done on them. Common practice, no source [T].
 */
export const USES_OF: Readonly<Record<FixtureKind, readonly UseKind[]>> = {
  kitchenSink: ["washUpBowl", "washUpRunning", "drains"],
  basin: ["handsTeeth", "drains"],
  showerTray: ["shower"],
  bath: ["shower"],
  outsideShower: ["shower"],
  washingMachine: ["laundry"],
  iceboxDrain: ["other"],
  gravityToilet: [],
  urineDiverter: [],
};
