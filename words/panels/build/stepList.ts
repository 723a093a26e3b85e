import type { Shown } from "../../shown";

export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const about = "; about";
export const doneOver = "Done over";
export const photograph = "Photograph";
export const earlier = (name: Shown) => `${name}: earlier`;
export const later = (name: Shown) => `${name}: later`;
export const took = ", took";
export const hoursFor = (name: Shown) => `Hours for ${name}`;
