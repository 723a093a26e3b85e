import type { Shown } from "../../shown";

export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const ofFromAFile = (label: Shown, of: Shown) => `${label} of “${of}” from a file`;
export const fromAFile = (label: Shown) => `${label} from a file`;
export const photographs = "Photographs";
export const takePhotographOut = (i: Shown) => `Take photograph ${i} out`;
export const photograph = "Photograph";
export const isInAnotherBrowser = "is in another browser.";
export const number = (number: Shown) => `Number ${number}`;
