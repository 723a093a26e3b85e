import type { Shown } from "../../shown";

export const now = "Now";
export const writeDownTheLastFill = "Write down the last fill and dump, and the levels are worked out from there.";
export const theLogbookCannotBeKept =
  "The logbook cannot be kept in this browser. Reload the page; if it happens again, write it on paper.";
export const levelsNow = "Levels now";
export const noTankAndNoCanister = "No tank and no canister yet: there is nothing to keep a book of.";
export const nextStop = "Next stop";
export const nothingHasToBeDumped = (arrive: Shown) => `${arrive}: nothing has to be dumped or filled.`;
export const nextJob = "Next job";
export const livedAsFromNowOn = "Lived as, from now on";
export const filledUp = "Filled up";
export const dumped = "Dumped";
export const full = (litres: Shown) => `${litres} % full`;
export const writtenIntoTheLogbook = "Written into the logbook.";
export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const undo = "Undo";
