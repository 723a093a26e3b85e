import type { Shown } from "../shown";

export const beforeFrost = "Before frost";
export const drainDownBeforeFrost = "Drain down before frost";
export const inTheOrderTheyAre = "in the order they are done. What must come out is said in litres.";
export const afterFrost = "After frost";
export const bringBackAfterFrost = "Bring back after frost";
export const closedSanitisedTrapsFilledAnd = "closed, sanitised, traps filled, and a bucket through everything.";
export const step = "step";
export const steps = "steps";
export const walkThroughIt = (title: Shown) => `Walk through it: ${title}`;
export const walkThroughIt2 = "Walk through it";
export const stepOf = (at: Shown, length: Shown) => `Step ${at} of ${length}`;
export const allStepsDone = "All steps done";
export const back = "Back";
export const doneNext = "Done, next";
export const writeItDown = "Write it down";
