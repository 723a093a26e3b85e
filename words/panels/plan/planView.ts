import type { Shown } from "../../shown";

export const translateScaleTranslate0Rotate = (x: Shown, y: Shown, k: Shown, height: Shown) =>
  `translate(${x} ${y}) scale(${k}) translate(0 ${height}) rotate(-90)`;
export const planOf = (name: Shown, which: Shown, which2: Shown) => `Plan of ${name}, ${which} ${which2}`;
export const drawADrainA = "Draw a drain (A)";
export const measureR = "Measure (R)";
export const bow = "bow";
export const nose = "nose";
export const up = "up";
export const toTheRight = "to the right";
