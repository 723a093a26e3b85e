import type { Design } from "../design/design";
import type { Fixture } from "../design/plumbing";
import type { PourEvent } from "./pourParts";

/** One use of a fixture as people use it: its volume let go, or its tap for as long as that volume lasts. */
export const toUse = ({ id, hasPlug, inflowLps, volumePerUseL }: Fixture): PourEvent =>
  hasPlug
    ? { kind: "empty", fixtureId: id, litres: volumePerUseL }
    : { kind: "run", fixtureId: id, lps: inflowLps, seconds: Math.min(900, volumePerUseL / inflowLps) };

/** The fixtures that have a drain, in the design's order. */
export const listUsable = (design: Design): Fixture[] =>
  design.fixtures.filter(({ id }) => design.lines.some((line) => line.kind === "drain" && line.fromFixture === id));
