import type { Fixing } from "@/core/design/plumbing";

/** Straps on through bolts of which nothing is rated: what tests change one thing of at a time. */
export const SAMPLE_FIXING: Fixing = {
  kind: "straps",
  fastener: "through",
  bolts: 4,
  size: "M8",
  placesMm: null,
  heldKN: null,
  heldShearKN: null,
  heldFactor: 1,
  strapKN: null,
  hasPlate: false,
  hasEndStop: false,
};
