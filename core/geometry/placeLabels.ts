/** A place on a sheet. */
type At = readonly [x: number, y: number];

/** A word that belongs to a circle on the sheet, mm. */
export type Label = {
  readonly text: string;
  readonly at: At;
  readonly radius: number;
  readonly width: number;
  readonly height: number;
};

type Box = { readonly x0: number; readonly y0: number; readonly x1: number; readonly y1: number };
type Segment = readonly [At, At];

/** Ways from a circle a word is tried at, the best liked first: above, below, right, left, and between. */
const WAYS: readonly At[] = [
  [0, -1],
  [0, 1],
  [1, 0],
  [-1, 0],
  [0.7, -0.7],
  [-0.7, -0.7],
  [0.7, 0.7],
  [-0.7, 0.7],
];
/** And how far off it, mm. */
const STEPS = [1, 4, 8, 13] as const;
/** A word over a word cannot be read; over a line it can, with pains; far off it is taken for another's. */
const COST = { word: 200, circle: 30, line: 8, perMm: 1.2 } as const;

/**
 * Where each word goes: its middle, in the order given, beside its circle where it meets the fewest others [C]. All measures
 * in one unit, of which there are so many in a millimetre of paper.
 */
export function placeLabels(labels: readonly Label[], lines: readonly Segment[], perMm = 1): At[] {
  const taken: Box[] = [];
  return labels.map(({ at, radius, width, height }) => {
    let best: { cost: number; middle: At; box: Box } | null = null;
    for (const stepMm of STEPS) {
      const step = stepMm * perMm;
      for (const [wx, wy] of WAYS) {
        const middle: At = [at[0] + wx * (radius + step + width / 2), at[1] + wy * (radius + step + height / 2)];
        const box = around(middle, width, height);
        const cost =
          COST.perMm * stepMm +
          COST.word * taken.filter((one) => overlap(one, box)).length +
          COST.circle * labels.filter((one) => overlap(around(one.at, 2 * one.radius, 2 * one.radius), box)).length +
          COST.line * lines.filter((line) => crosses(line, box)).length;
        if (!best || cost < best.cost) best = { cost, middle, box };
      }
    }
    taken.push(best!.box);
    return best!.middle;
  });
}

const around = ([x, y]: At, width: number, height: number): Box => ({
  x0: x - width / 2,
  y0: y - height / 2,
  x1: x + width / 2,
  y1: y + height / 2,
});

const overlap = (a: Box, b: Box): boolean => a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1;

// Whether any part of a segment lies in a box: clipped against its four sides.
function crosses([[x0, y0], [x1, y1]]: Segment, box: Box): boolean {
  let [from, to] = [0, 1];
  for (const [start, step, low, high] of [
    [x0, x1 - x0, box.x0, box.x1],
    [y0, y1 - y0, box.y0, box.y1],
  ] as const) {
    if (step === 0) {
      if (start < low || start > high) return false;
      continue;
    }
    const [a, b] = [(low - start) / step, (high - start) / step];
    from = Math.max(from, Math.min(a, b));
    to = Math.min(to, Math.max(a, b));
  }
  return from <= to;
}
