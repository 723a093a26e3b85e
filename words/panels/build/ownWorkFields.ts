import type { Shown } from "../../shown";

export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const yourOwnStepsAndRules = "Your own steps and rules";
export const oneMoreStep = "One more step";
export const takeTheStepOut = (name: Shown) => `Take the step ${name} out`;
export const first = "First";
export const andThen = "and then";
export const keepThisOrder = "Keep this order";
export const yourRules = "Your rules";
export const thenIt = ", then";
export const restsTheDrawingHasNo = "rests: the drawing has no such order any more";
export const takeThisRuleOut = "Take this rule out";
