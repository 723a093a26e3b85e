import type { Shown } from "../../shown";

export const whereItComesUpAs = "Where it comes up, as it fills";
export const whereComesUpAsIt = (name: Shown) => `Where ${name} comes up as it fills`;
export const heldByItsValve = ", held by its valve";
export const never = "never";
