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
  const left = -PAST_PX;
  const right = view.width + PAST_PX;
  const cut: SheetPoint[] = [];
  let last: SheetPoint | null = null;
  for (const [s, h] of points) {
    const p: SheetPoint = [view.x(s), view.y(h)];
    if (last && last[0] < left && p[0] > left) cut.push(cross(last, p, left));
    if (last && last[0] < right && p[0] > right) cut.push(cross(last, p, right));
    if (p[0] >= left && p[0] <= right) cut.push(p);
    last = p;
  }
  const kept: SheetPoint[] = [];
  for (let i = 0; i < cut.length; i++) {
    const p = cut[i]!;
    const before = kept[kept.length - 1];
    const next = cut[i + 1];
    if (before && next && next[0] > before[0] && Math.abs(cross(before, next, p[0])[1] - p[1]) < STRAIGHT_PX) continue;
    kept.push(p);
  }
  return kept;
}

const cross = (a: SheetPoint, b: SheetPoint, x: number): SheetPoint => [
  x,
  a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]),
];
