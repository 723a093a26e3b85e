import type { PartRef } from "../design/part";

/** A body of water out in the cold, and the hours until it is at 0 °C. */
export type FrostPart = {
  readonly kind: "valve" | "trap" | "sag" | "tank" | "gear" | "hose";
  readonly at: PartRef;
  /** Null in a trap, whose water is told by its seal. */
  readonly litres: number | null;
  readonly hours: number;
};
