import type { Shown } from "../../shown";

export const stations = "Stations";
export const fit = "Fit:";
export const key = (plain: Shown, key: Shown) => `${plain} Key ${key}`;
