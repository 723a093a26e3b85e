import type { Shown } from "../../shown";

export const findingTheFault = "Finding the fault";
export const trials = "Trials";
export const whatYouSee = "What you see";
export const nothingOnThisRigCan = "Nothing on this rig can cause that as it is drawn.";
export const mostLikely = (suspect: Shown) => `Most likely: ${suspect}.`;
export const possibleCausesAboutToGo = (length: Shown, max: Shown, which: Shown) =>
  `${length} possible causes; about ${max} ${which} to go.`;
export const trialAndCauses = "Trial and causes";
export const yes = "Yes";
export const no = "No";
export const cannotBeDoneHere = "Cannot be done here";
export const noTrialOnThisRig = "No trial on this rig tells these apart any more. A stop valve between them would.";
export const possibleCauses = "Possible causes";
export const takeTheLastAnswerBack = "Take the last answer back";
export const beginAgain = "Begin again";
export const trialsLeft = (count: number) => (count > 1 ? "trials" : "trial");
