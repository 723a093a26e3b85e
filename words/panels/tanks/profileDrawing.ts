import type { Shown } from "../../shown";

export const profileOfTheTank = "Profile of the tank";
export const moveCornerOfTheProfile = (i: Shown) => `Move corner ${i} of the profile`;
export const ofSectionPullACorner =
  "of section. Pull a corner; double click a wall for one more; Delete takes one out.";
