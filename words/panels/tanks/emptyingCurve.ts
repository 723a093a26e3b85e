import type { Shown } from "../../shown";

export const startsWithEmptyAfter = (fullL: Shown, seconds: Shown) => `Starts with ${fullL}, empty after ${seconds}`;
export const leftInTheTank = "Left in the tank";
