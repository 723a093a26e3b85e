import type { Shown } from "../../shown";

export const trialsBeforeClosingUp = "Trials before closing up";
export const nothingToTryYet = "Nothing to try yet.";
export const doneOn = (on: Shown) => `Done on ${on}.`;
export const notDoneTickItUnder = "Not done; tick it under Build.";
export const firstFillingInThisOrder = "First filling, in this order";
