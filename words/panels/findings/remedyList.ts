import type { Shown } from "../../shown";

export const done = (edit: Shown) => `Done: ${edit}.`;
export const doIt = "Do it";
export const cancel = "Cancel";
export const usableAtWorst = (tankId: Shown) => `${tankId}, usable at worst`;
export const itBrings = "It brings";
export const oneNewFinding = "one new finding, no must.";
export const newFindings = (newFindings: Shown) => `${newFindings} new findings, none of them a must.`;
export const undo = "Undo";
export const newTank = "new tank";
export const noEnd = "no end";
export const inHandLevel = "in hand, level";
export const inHandWorst = "in hand, worst";
export const none = "none";
export const theStayLevel = "the stay, level";
export const lookingForWhatHelps = "Looking for what helps…";
export const whatHelpsIsNotKnown = "What helps could not be worked out. Close this and open it again.";
export const nothingTriedHelps =
  "No single change that was tried settles this. Change the drawing in steps: what is left is told at once.";
