import type { Shown } from "../../shown";

export const byItself = "By itself";
export const levelWith = (name: Shown) => `Level with ${name}`;
export const pumpedInto = (name: Shown) => `Pumped into ${name}`;
export const goesOn = "Goes on";
export const aPipeJoinsThemAt =
  "A pipe joins them at the bottom: one water line, and the first opening of either decides when both are full. The pipe itself is not drawn: its bore, its frost and what it holds are not counted. As wide as the outlet, it keeps up with a dump.";
export const noPumpIsLaidFor =
  "No pump is laid for it yet. Until one stands at Loop with its hose, its pull on this tank's air and traps is not counted.";
