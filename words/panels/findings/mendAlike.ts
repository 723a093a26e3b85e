import type { Shown } from "../../shown";

export const theyHaveNoRemedyIn = "They have no remedy in common. Open them one by one.";
export const settleThemTogether = "Settle them together";
export const doneInPlaces = (settled: Shown) => `Done in ${settled} places.`;
export const andTheLikeIn = ", and the like in";
export const otherPlaces = "other places";
export const stayAsTheyAre = (length: Shown) => `; ${length} stay as they are`;
export const doIt = "Do it";
export const cancel = "Cancel";
export const undo = "Undo";
export const lookingForWhatHelps = "Looking for what helps…";
export const couldNotBeWorkedOut = "This could not be worked out. Open them one by one.";
