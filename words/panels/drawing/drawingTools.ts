/** Drawings, as their tools name them. */
const DRAWINGS = {
  plan: "plan",
  side: "side view",
  tank: "tank",
  breather: "breather",
  gear: "gear",
  section: "section",
  rear: "view from behind",
} as const;
export type DrawingId = keyof typeof DRAWINGS;

export const zoomInOnThe = (of: DrawingId) => `Zoom in on the ${DRAWINGS[of]}`;
export const zoomOutOfThe = (of: DrawingId) => `Zoom out of the ${DRAWINGS[of]}`;
export const showTheWhole = (of: DrawingId) => `Show the whole ${DRAWINGS[of]}`;
