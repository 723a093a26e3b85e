import type { Pipe } from "../design/plumbing";
import type { Cut } from "./cuts";

/** A piece that is sawn from a bar. */
type Sawn = Cut & { readonly cutMm: number };

export type Bar = { readonly cuts: readonly Sawn[]; readonly restMm: number };
export type BarPlan = {
  readonly pipe: Pipe;
  readonly stockMm: number;
  readonly bars: readonly Bar[];
  readonly tooLong: readonly Sawn[];
};

/** A saw takes this much with it, mm [T]. */
const KERF_MM = 3;

/**
 * From which bar each piece is sawn: the longest first into the first bar that still has room. Pieces longer than the stock
 * are named. Stock > 0 mm. Never fewer bars than the sum over the stock asks for [C; first fit is within 22 % of the least,
 * P: Johnson 1973, from memory].
 */
export function planBars(cuts: readonly Cut[], stockMm: number): BarPlan[] {
  const kinds = new Map<string, Sawn[]>();
  for (const cut of cuts) {
    // hose comes off a roll, by the metre
    if (cut.ends === null || cut.cutMm === null) continue;
    const key = `${cut.pipe.innerMm}/${cut.pipe.outerMm}/${cut.pipe.manningN}`;
    kinds.set(key, [...(kinds.get(key) ?? []), { ...cut, cutMm: cut.cutMm }]);
  }
  return [...kinds.values()].map((own) => {
    const sorted = [...own].sort((a, b) => b.cutMm - a.cutMm);
    const bars: { cuts: Sawn[]; restMm: number }[] = [];
    const tooLong: Sawn[] = [];
    for (const cut of sorted) {
      if (cut.cutMm > stockMm) {
        tooLong.push(cut);
        continue;
      }
      const bar = bars.find(({ restMm }) => restMm >= cut.cutMm + KERF_MM);
      if (bar) {
        bar.cuts.push(cut);
        bar.restMm -= cut.cutMm + KERF_MM;
      } else bars.push({ cuts: [cut], restMm: stockMm - cut.cutMm });
    }
    return { pipe: own[0]!.pipe, stockMm, bars, tooLong };
  });
}
