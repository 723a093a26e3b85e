import { type PartRef, toPartKey } from "../design/part";

/** A body of water out in the cold, and the hours until it is at 0 °C. */
export type FrostPart = {
  readonly kind: "valve" | "trap" | "sag" | "tank" | "gear" | "hose";
  readonly at: PartRef;
  /** Null in a trap, whose water is told by its seal. */
  readonly litres: number | null;
  readonly hours: number;
};

/** What freezes first comes first; of two that do together, the one whose name comes first, whatever the order in the file. */
export function byHours(a: FrostPart, b: FrostPart): number {
  // hoses of one bore differ by rounding only
  const apart = Math.round(a.hours * 1e6) - Math.round(b.hours * 1e6);
  if (apart !== 0) return apart;
  return toPartKey(a.at) < toPartKey(b.at) ? -1 : 1;
}
