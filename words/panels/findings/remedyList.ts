import type { Shown } from "../../shown";

export const done = (edit: Shown) => `Done: ${edit}.`;
export const doIt = "Do it";
export const cancel = "Cancel";
export const usableAtWorst = (tankId: Shown) => `${tankId}, usable at worst`;
export const itBrings = "It brings";
export const oneNewFinding = "one new finding";
export const newFindings = (newFindings: Shown) => `${newFindings} new findings`;
export const noneOfThemAMust = ", none of them a must.";
