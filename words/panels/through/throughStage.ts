import type { Shown } from "../../shown";

export const theHole = "The hole";
export const noHoleYetNothingGoes = "No hole yet: nothing goes through floor, wall or hull.";
export const holeShown = "Hole shown";
export const holeOfByAtDegrees = (lengthMm: Shown, widthMm: Shown, radToDeg: Shown) =>
  `Hole of ${lengthMm} by ${widthMm} at ${radToDeg} degrees`;
export const behind = (name: Shown, clearMm: Shown) => `${name}, ${clearMm} behind`;
export const alongAcross = (lengthMm: Shown, widthMm: Shown) => `${lengthMm} along, ${widthMm} across`;
export const theOtherFace = "The other face";
export const drillFromHere = "Drill from here";
export const toTheFace = (which: Shown, radToDeg: Shown) => `${which}, ${radToDeg}° to the face`;
export const thicknessNotKnown = "Thickness not known";
