import type { Shown } from "../../shown";

export const move = (what: Shown) => `Move ${what}`;
export const of = (what: Shown, name: Shown) => `${what} of ${name}`;
export const moveBendOf = (bend: Shown, name: Shown) => `Move bend ${bend} of ${name}`;
export const moveKeepingItsFall = (part: Shown) => `Move ${part}, keeping its fall`;
export const moveTheInletOf = (what: Shown) => `Move the inlet of ${what}`;
export const moveThe = (what: Shown) => `Move the ${what}`;
export const moveTheOutletOf = (fixturePart: Shown) => `Move the outlet of ${fixturePart}`;
export const moveTheFloorPassage = "Move the floor passage";
