import type { Shown } from "../../shown";

export const jointsAtTanksAndGear = (length: Shown) => `Joints at tanks and gear, ${length}`;
export const willItScrewTogether = "Will it screw together?";
export const oneEnd = "One end";
export const theOther = "The other";
export const size = "Size";
export const threadsAnInch = "Threads an inch:";
export const and = "and";
