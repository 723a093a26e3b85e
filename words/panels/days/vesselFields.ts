import type { Shown } from "../../shown";

export const canistersAndBottles = "Canisters and bottles";
export const addACanisterOrBottle = "Add a canister or bottle";
export const holds = (name: Shown) => `${name}, holds`;
export const takeOut = (name: Shown) => `Take ${name} out`;
export const carriedOn = (name: Shown) => `${name}, carried on`;
export const noneAllWaterIsIn = "None: all water is in tanks.";
