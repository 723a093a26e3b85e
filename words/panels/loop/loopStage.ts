import type { Shown } from "../../shown";

export const thePumpedWater = "The pumped water";
export const nothingIsPumpedOnThis = (side: Shown) =>
  `Nothing is pumped on this rig yet. Lay water to the taps or make a shower use its water again ${side}, or set single pieces down.`;
export const everythingShut = "Everything shut";
export const loop = "Loop";
export const workingState = "Working state";
export const clear = "Clear";
export const pressAValveAPump = "Press a valve, a pump or a tap: it turns, and the water follows.";
export const triedOnly = "Tried only.";
export const keepAs = "Keep as";
export const back = "Back";
