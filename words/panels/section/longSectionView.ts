import type { Shown } from "../../shown";

export const longSectionOf = (name: Shown) => `Long section of ${name}`;
export const seeTheWaterRunP = "See the water run (P)";
export const pour = "Pour";
export const heights = "heights ×";
export const drawHeightsTallerThanLengths = "Draw heights taller than lengths (E)";
export const stretchHeights = "Stretch heights";
export const stretch = "Stretch";
