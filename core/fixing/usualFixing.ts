import type { Fixing } from "../design/plumbing";

/** Through bolts with plates in two rows: what bears most, and asks no rating of what they sit in [T]. */
export const USUAL_FIXING = {
  fastener: "through",
  bolts: 6,
  size: "M8",
  placesMm: null,
  heldKN: null,
  heldShearKN: null,
  heldFactor: 1.5,
  strapKN: null,
  hasPlate: true,
  hasEndStop: false,
} as const satisfies Omit<Fixing, "kind">;
