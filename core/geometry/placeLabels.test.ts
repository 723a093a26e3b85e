import fc from "fast-check";
import { placeLabels } from "./placeLabels";

const label = (x: number, y: number, width = 20) => ({ text: "", at: [x, y] as const, radius: 1.6, width, height: 3 });
const meets = (a: readonly [number, number], b: readonly [number, number], width = 20) =>
  Math.abs(a[0] - b[0]) < width - 1e-9 && Math.abs(a[1] - b[1]) < 3 - 1e-9;

test("a word alone stands right above its circle; a line there sends it elsewhere", () => {
  expect(placeLabels([label(50, 50)], [])).toEqual([[50, 50 - 1.6 - 1 - 1.5]]);
  const [placed] = placeLabels(
    [label(50, 50)],
    [
      [
        [0, 46],
        [100, 46],
      ],
    ],
  );
  expect(placed![1]).toBeGreaterThan(50);
});

test("words of circles in a row that stand further apart than their circles never meet", () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 6, max: 18 }), { minLength: 1, maxLength: 7 }), (gaps) => {
      const labels = [0, ...gaps].map((_, i) => label(20 + gaps.slice(0, i).reduce((sum, gap) => sum + gap, 0), 50));
      const placed = placeLabels(labels, []);
      placed.forEach((a, i) => {
        for (const b of placed.slice(i + 1)) expect(meets(a, b)).toBe(false);
      });
    }),
  );
});
