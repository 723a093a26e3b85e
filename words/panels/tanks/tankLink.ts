import type { Shown } from "../../shown";

export const byItself = "By itself";
export const levelWith = (name: Shown) => `Level with ${name}`;
export const pumpedInto = (name: Shown) => `Pumped into ${name}`;
export const goesOn = "Goes on";
export const aPipeJoinsThemAt =
  "A pipe joins them at the bottom: one water line, and the first opening of either decides when both are full.";
export const noPumpIsLaidFor =
  "No pump is laid for it yet. Until one stands at Loop with its hose, its pull on this tank's air and traps is not counted.";
