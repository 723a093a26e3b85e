import type { Shown } from "../../shown";

export const levelOverDays = (name: Shown, days: Shown) => `${name}: level over ${days} days`;
