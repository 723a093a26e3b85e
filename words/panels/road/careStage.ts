import type { Shown } from "../../shown";

export const care = "Care";
export const nothingToLookAfterYet = "Nothing to look after yet.";
export const nothingIsDue = "Nothing is due.";
export const due = (late: Shown) => `${late} due.`;
export const whatIsDue = "What is due";
export const doneToday = "Done today";
