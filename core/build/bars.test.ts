import fc from "fast-check";
import { planBars } from "./bars";
import type { Cut } from "./cuts";

const PIPE = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
const END = { things: [{ kind: "coupling" }], takeOffMm: 0 } as const;
const ENDS = [END, END] as const;
const toCuts = (lengths: readonly number[]): Cut[] =>
  lengths.map((cutMm, i) => ({ mark: `P${i}`, lineId: "any", leg: i, pipe: PIPE, centreMm: cutMm, cutMm, ends: ENDS }));

// The least number of bars, by trying every way.
function leastBars(lengths: readonly number[], stock: number): number {
  let best = lengths.length;
  const put = (i: number, bars: number[]): void => {
    if (bars.length >= best) return;
    if (i === lengths.length) {
      best = bars.length;
      return;
    }
    bars.forEach((used, b) => {
      if (used + lengths[i]! + 3 <= stock) put(i + 1, bars.with(b, used + lengths[i]! + 3));
    });
    put(i + 1, [...bars, lengths[i]!]);
  };
  put(0, []);
  return best;
}

test("no bar is overfilled, none is more than one over the least, every piece is sawn or named", () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 60, max: 2_400 }), { minLength: 1, maxLength: 7 }), (lengths) => {
      const [plan] = planBars(toCuts(lengths), 2_000);
      const fitting = lengths.filter((mm) => mm <= 2_000);
      expect(plan!.tooLong).toHaveLength(lengths.length - fitting.length);
      for (const { cuts, restMm } of plan!.bars) {
        const used = cuts.reduce((sum, { cutMm }) => sum + cutMm, 0) + 3 * (cuts.length - 1);
        expect(used + restMm).toBeCloseTo(2_000, 9);
        expect(restMm).toBeGreaterThanOrEqual(-1e-9);
      }
      if (fitting.length > 0) expect(plan!.bars.length).toBeLessThanOrEqual(leastBars(fitting, 2_000) + 1);
    }),
    { numRuns: 60 },
  );
});

test("hose and pieces that are none are sawn from no bar; another pipe has bars of its own", () => {
  const [a, b, c, d] = toCuts([500, 600, 700, 800]);
  const wide = { ...PIPE, innerMm: 46.4, outerMm: 50 };
  const plans = planBars([a!, { ...b!, ends: null }, { ...c!, cutMm: null }, { ...d!, pipe: wide }], 2_000);
  expect(plans.map(({ pipe, bars }) => [pipe.outerMm, bars.map(({ cuts }) => cuts.map(({ mark }) => mark))])).toEqual([
    [40, [["P0"]]],
    [50, [["P3"]]],
  ]);
});
