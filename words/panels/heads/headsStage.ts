import type { Shown } from "../../shown";

export const theHeadsFromBehind = "The heads from behind";
export const heads = "Heads";
export const fromBehindAtTrueHeights = "From behind, at true heights over the floor.";
export const theSeaCanComeIn = "The sea can come in through";
export const fromBehindWithTheWater = "From behind, with the water where she floats. No vented loop yet.";
export const top = ": top";
export const under = "under";
export const over = "over";
export const theWaterHere = "the water here";
export const wanted = (safeOverWaterMm: Shown) => `; ${safeOverWaterMm} wanted`;
export const heel = "Heel";
export const upright = "upright";
export const to = (abs: Shown, which: Shown) => `${abs}° to ${which}`;
export const headsFromBehindToScale = "Heads from behind, to scale";
export const water = "water";
export const deepest = (sinkMm: Shown) => `deepest, +${sinkMm}`;
export const starboard = "starboard";
export const port = "port";
export const topOfWater = (name: string, length: string, isUnder: boolean) =>
  `${name}, top ${length} ${isUnder ? "under" : "over"} the water`;
export const soMuchOver = (name: string, length: string, isUnder: boolean) =>
  `${name}, ${length} ${isUnder ? "under" : "over"}`;
