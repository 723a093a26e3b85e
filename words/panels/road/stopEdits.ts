import type { Shown } from "../../shown";

export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const closedPlannedAgainWithoutIt = "Closed: planned again without it.";
export const openAgain = "Open again.";
export const daysMoreTheRestLater = (name: Shown, days: Shown) => `${name}: ${days} days more, the rest later.`;
export const stopTakenOut = "Stop taken out.";
export const stop = (length: Shown) => `Stop ${length}`;
export const undo = "Undo";
