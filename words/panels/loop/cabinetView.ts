import type { Shown } from "../../shown";

export const theGearToScaleFrom = "The gear to scale, from the side";
export const move = (name: Shown) => `Move ${name}`;
export const fromTheSideToScale = "From the side, to scale";
