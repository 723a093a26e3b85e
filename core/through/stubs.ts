/** Inside bores hose is sold in, mm, with what each is called by the inch [T]. */
export const HOSE_BORES: readonly { readonly boreMm: number; readonly call: string }[] = [
  { boreMm: 13, call: "1/2" },
  { boreMm: 16, call: "5/8" },
  { boreMm: 19, call: "3/4" },
  { boreMm: 25, call: "1" },
  { boreMm: 32, call: "1 1/4" },
  { boreMm: 38, call: "1 1/2" },
  { boreMm: 50, call: "2" },
  { boreMm: 63, call: "2 1/2" },
  { boreMm: 76, call: "3" },
];

/** Hose goes over a tail so much larger when it is warmed, and holds on one so much smaller with two clamps, mm [T]. */
const STRETCH_MM = 1.2;
const LOOSE_MM = 0.4;
/** A stub can be turned down by so much before its wall is thin, mm [T]. */
const TURN_MM = 3;
/** A sleeve under the hose fills up to so much, mm [T]. */
const SLEEVE_MM = 7;

export type StubFit =
  | { readonly kind: "fits"; readonly boreMm: number }
  /** Turned down to this it fits. */
  | { readonly kind: "turn"; readonly boreMm: number; readonly toMm: number }
  /** With a sleeve of this outside it fits the next hose up. */
  | { readonly kind: "sleeve"; readonly boreMm: number; readonly toMm: number };

/** Whether a hose of a bore holds on a tail measured outside, both mm [T]. */
export const judgeTail = (tailMm: number, boreMm: number): "fits" | "tooLarge" | "tooSmall" =>
  tailMm > boreMm + STRETCH_MM ? "tooLarge" : tailMm < boreMm - LOOSE_MM ? "tooSmall" : "fits";

/** What an odd stub, mm outside, takes: the hose that fits, or turned down, or sleeved up; nearest first [T]. */
export function matchStub(outsideMm: number): StubFit[] {
  const fits = HOSE_BORES.flatMap(({ boreMm }): (StubFit & { readonly away: number })[] => {
    const over = outsideMm - boreMm;
    const fit = judgeTail(outsideMm, boreMm);
    if (fit === "fits") return [{ kind: "fits", boreMm, away: 0 }];
    if (fit === "tooLarge" && over <= STRETCH_MM + TURN_MM)
      return [{ kind: "turn", boreMm, toMm: boreMm + STRETCH_MM / 2, away: over }];
    if (fit === "tooSmall" && -over <= SLEEVE_MM) return [{ kind: "sleeve", boreMm, toMm: boreMm, away: -over }];
    return [];
  });
  return fits.sort((a, b) => a.away - b.away).map(({ away: _, ...fit }) => fit);
}
