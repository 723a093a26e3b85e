import type { Shown } from "../../shown";

export const saidOnlyHere = "Said only here";
export const saidOnlyOf = (name: Shown) => `Said only of ${name}`;
