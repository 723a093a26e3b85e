import type { Shown } from "../../shown";

export const alongTheRig = "Along the rig";
export const acrossTheRig = "Across the rig";
export const shape = "Shape";
export const insideLength = "Inside, length";
export const insideWidth = "Inside, width";
export const insideHeight = "Inside, height";
export const lengthAlongItsAxis = "Length along its axis";
export const insideDiameter = "Inside, diameter";
export const theProfileRuns = "The profile runs";
export const wall = "Wall";
export const madeOf = "Made of";
export const laggedWithFoamOf = "Lagged with foam of";
export const corner = (i: Shown, which: Shown) => `Corner ${i}, ${which}`;
export const aCornerAfterCorner = (i: Shown) => `A corner after corner ${i}`;
export const takeCornerOut = (i: Shown) => `Take corner ${i} out`;
export const upright = "Upright";
