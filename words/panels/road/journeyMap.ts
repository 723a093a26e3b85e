import type { Shown } from "../../shown";

export const mapOfStopsAsThe = (length: Shown, distance: Shown) =>
  `Map of ${length} stops, ${distance} as the crow flies`;
export const north = "north";
export const km = "km";
export const mi = "mi";
