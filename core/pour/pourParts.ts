/** Water given to one fixture: let go at once with the plug pulled, or running for a while with the drain open. */
export type PourEvent =
  | { readonly kind: "empty"; readonly fixtureId: string; readonly litres: number }
  | { readonly kind: "run"; readonly fixtureId: string; readonly lps: number; readonly seconds: number };

/** A leg the water runs through. */
export type PourLeg = {
  readonly lineId: string;
  readonly index: number;
  /** Its whole bore, L. */
  readonly fullL: number;
  /** What its sag keeps at the attitude, L. */
  readonly keptL: number;
};
