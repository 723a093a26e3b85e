import type { Shown } from "../../shown";

export const planOf = (name: Shown, which: Shown, which2: Shown) => `Plan of ${name}, ${which} ${which2}`;
export const drawADrainA = "Draw a drain (A)";
export const measureR = "Measure (R)";
export const bow = "bow";
export const nose = "nose";
export const up = "up";
export const toTheRight = "to the right";
