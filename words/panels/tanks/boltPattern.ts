import type { Shown } from "../../shown";

export const boltsOfTheTankFrom = "Bolts of the tank from above, forward to the right";
export const boltForwardLeftOfThe = (i: Shown, x: Shown, y: Shown, uses: Shown, isStruck: boolean) =>
  `Bolt ${i}: ${x} forward, ${y} left of the tank's corner, uses ${uses}${isStruck ? "; it goes into something" : ""}`;
export const noBoltInto = (names: readonly string[]) => `Dashed, close to the floor: ${names.join(", ")}.`;
export const forwardIsToTheRight =
  "Forward is to the right. Each bolt shows the most it takes in any load. Pull one to where it can go.";
export const backInRows = "Back in rows";
