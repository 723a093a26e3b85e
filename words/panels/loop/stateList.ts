import type { Shown } from "../../shown";

export const workingStates = "Working states";
export const takeOut = (name: Shown) => `Take ${name} out`;
export const called = "Called";
export const usedWhere = "Used where";
export const oneMoreState = "One more state";
export const aNewOneStartsAs =
  "A new one starts as the one shown. Turn valves, pumps and taps on the stage, then keep it.";
export const notSaid = "not said";
