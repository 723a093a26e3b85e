import { type At, type Box, crosses, overlap, type Segment } from "./sheetBox";

/** A word that belongs to a circle on the sheet, mm. */
export type Label = {
  readonly text: string;
  readonly at: At;
  readonly radius: number;
  readonly width: number;
  readonly height: number;
};

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
