import type { Shown } from "../../shown";

export const moveTheFloorPassage = "Move the floor passage";
export const moveInPlan = (name: Shown) => `Move ${name} in plan`;
export const moveInPlan2 = (part: Shown) => `Move ${part} in plan`;
export const moveTheInPlan = (part: Shown) => `Move the ${part} in plan`;
export const ofInPlan = (passageLabel: Shown, what: Shown) => `${passageLabel} of ${what} in plan`;
export const moveTheOutletOfIn = (name: Shown) => `Move the outlet of ${name} in plan`;
