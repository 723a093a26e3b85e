import type { Design } from "../design/design";
import type { Fixture, FixtureKind } from "../design/plumbing";
import type { PourEvent } from "./pour";

/** Fixtures that are filled with the plug in and let go at once; the others run as they are used. */
const PLUGGED: ReadonlySet<FixtureKind> = new Set(["kitchenSink", "basin", "bath"]);

/** One use of a fixture as people use it: its volume let go, or its tap for as long as that volume lasts. */
export const toUse = ({ id, kind, inflowLps, volumePerUseL }: Fixture): PourEvent =>
  PLUGGED.has(kind)
    ? { kind: "empty", fixtureId: id, litres: volumePerUseL }
    : { kind: "run", fixtureId: id, lps: inflowLps, seconds: Math.min(900, volumePerUseL / inflowLps) };

/** The fixtures that have a drain, in the design's order. */
export const listUsable = (design: Design): Fixture[] =>
  design.fixtures.filter(({ id }) => design.lines.some((line) => line.kind === "drain" && line.fromFixture === id));
