import type { Shown } from "../../shown";

export const undersideOfTheWaste = (name: Shown) => `${name}, underside of the waste`;
export const name = "Name";
export const bore = "Bore";
export const rimOverTheOutlet = "Rim over the outlet";
export const tapFullOn = "Tap, full on";
export const oneUse = "One use";
export const hasAPlugLetGo = "Has a plug: let go at once";
export const neverRunsBesideOthers = "Never runs beside others";
export const copyItWithItsDrain = "Copy it with its drain";
export const take = "Take";
export const out = "out";
