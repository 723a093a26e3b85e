import type { Shown } from "../../shown";

export const waterInTheTank = "Water in the tank";
export const ofFull = (share: Shown) => `${share} % of full`;
export const waterInTheTankPull = "Water in the tank: pull to fill or empty";
