import type { View } from "../drawing/view";

type SheetPoint = readonly [number, number];

/** How far past the sheet a long line is drawn on, px; more than its thickest stroke. */
const PAST_PX = 20;

/** A corner is left out where the line bends by less, px. */
const STRAIGHT_PX = 0.02;

/**
 * A line that runs on past the sheet, such as the ground, as it is drawn, px: cut at the sheet's sides, without corners
 * at which it does not bend. So it stays the same while something else is pulled along it. Points run from left to right.
 */
export function trimToSheet(view: View, points: readonly SheetPoint[]): SheetPoint[] {
  const at = points.map(([s, h]) => [view.x(s), view.y(h)] as const);
  const [left, right] = [-PAST_PX, view.width + PAST_PX];
  const cut = at.flatMap((p, i): SheetPoint[] => {
    const before = at[i - 1];
    if (!before) return p[0] >= left && p[0] <= right ? [p] : [];
    const sides = [left, right].filter((x) => before[0] < x && p[0] > x).map((x) => cross(before, p, x));
    return p[0] >= left && p[0] <= right ? [...sides, p] : sides;
  });
  const kept: SheetPoint[] = [];
  for (const [i, p] of cut.entries()) {
    const [before, next] = [kept.at(-1), cut[i + 1]];
    if (before && next && next[0] > before[0] && Math.abs(cross(before, next, p[0])[1] - p[1]) < STRAIGHT_PX) continue;
    kept.push(p);
  }
  return kept;
}

const cross = (a: SheetPoint, b: SheetPoint, x: number): SheetPoint => [
  x,
  a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]),
];
