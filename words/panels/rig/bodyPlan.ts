import type { Shown } from "../../shown";

export const halfSectionsOfTheHull = "Half-sections of the hull";
export const movePointOfTheSection = (i: Shown) => `Move point ${i} of the section`;
export const keelAtTheBottomHalf =
  "Keel at the bottom, half-breadth to the right, outside. Pull a point; double click adds one; Delete takes one out.";
