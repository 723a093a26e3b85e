import type { Shown } from "../../shown";

export const levelOverDays = (name: Shown, days: Shown) => `${name}: level over ${days} days`;
export const gone = "gone";
export const full = (volume: string) => `full, ${volume}`;
