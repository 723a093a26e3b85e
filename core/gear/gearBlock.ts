import type { Gear, GearKind } from "../design/gear";
import type { Block } from "../geometry/blocks";
import { add, vec } from "../geometry/vec";

/** What sits in a skin, a deck or a wall, or on a fixture: its body does not stand free. */
const SET_IN: ReadonlySet<GearKind> = new Set(["skinFitting", "deckFitting", "tap"]);

export const isSetIn = ({ spec }: Pick<Gear, "spec">): boolean => SET_IN.has(spec.kind);

/** The room a piece of gear takes, mm. */
export const toGearBlock = ({ atMm, sizeMm }: Pick<Gear, "atMm" | "sizeMm">): Block => ({
  min: atMm,
  max: add(atMm, sizeMm),
});

/** The room under it that it is opened into; null where it needs none. */
export const toBelowBlock = ({ atMm, sizeMm, openBelowMm }: Gear): Block | null =>
  openBelowMm > 0
    ? { min: add(atMm, vec(0, 0, -openBelowMm)), max: { x: atMm.x + sizeMm.x, y: atMm.y + sizeMm.y, z: atMm.z } }
    : null;
