import type { Shown } from "../../shown";

export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const theBuilding = "The building";
export const theseStepsNeedEachOther = "These steps need each other:";
export const changeTheDesignSoThat = ". Change the design so that one can come first.";
export const build = "Build";
export const whatCanBeDone = "What can be done";
export const nothingToBuildYetDraw = "Nothing to build yet: draw a tank and a drain first.";
export const ofStepsDone = (length: Shown, length2: Shown, steps: Shown) =>
  `${length} of ${length2} steps done. ${steps}`;
export const whatIsDoneCannotBe =
  "What is done cannot be kept in this browser. Reload the page; if it happens again, write it down.";
export const steps = "Steps";
export const builtAndDrawnAnewSince = "Built, and drawn anew since";
export const seenTo = "Seen to";
export const now = "Now";
export const everythingThatComesNextIs = "Everything that comes next is under the rig.";
export const forEverythingThatComesNext =
  "For everything that comes next something is missing. Mark what came in the parts list.";
export const nothingCanBeDoneYet = "Nothing can be done yet that may not have to be done again.";
export const settleFirst = "Settle first";
export const waitsForThat = "Waits for that";
export const oneBuiltPart = "One built part";
export const builtParts = (length: Shown) => `${length} built parts`;
export const canStillBeMovedIn = "can still be moved in the drawing.";
export const lockIt = "Lock it";
export const lockThem = "Lock them";
export const done = "Done";
export const drawingOfTheBuilding = "Drawing of the building";
