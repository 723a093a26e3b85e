import type { Shown } from "../../shown";

export const rearAxle = "Rear axle";
export const frontAxle = "Front axle";
export const axlesFromTheRearEdge = "Axles, from the rear edge";
export const axle = "Axle";
export const coupling = "Coupling";
export const theBallsMiddleMeasuredAlong =
  "The ball's middle, measured along the drawbar. Left empty it is taken at the front edge.";
export const mayStillCarry = "may still carry";
export const itsRatingLessItsWeight = "Its rating less its weight on a scale with the rig as it drives, without water.";
export const takeOut = (name: Shown) => `Take ${name} out`;
