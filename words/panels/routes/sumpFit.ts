import type { SumpGoal } from "@/core/edits/fitSump";
import type { Shown } from "../../shown";

export const undo = "Undo";
export const tooLowToDrain =
  "Too low to drain? A sump beside it gathers the water and a float pump sends it up. It needs current, a hair strainer, and an eye on it: without current it runs over.";
export const overboardCaution =
  "Whether grey water may go overboard is for the place: lakes, rivers and harbours often forbid it.";
export const GOALS: Readonly<Record<SumpGoal, string>> = {
  tank: "Pump it up into the tank",
  overboard: "Pump it overboard",
};
export const lookingForItsPlace = "Looking for its place";
export const fitted = (fixture: Shown) => `${fixture} runs into a sump now. How often its pump starts stands at Heads.`;
