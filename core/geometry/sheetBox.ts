/** A place on a sheet. */
export type At = readonly [x: number, y: number];
export type Segment = readonly [At, At];

/** A box on a sheet, its sides level and upright. */
export type Box = { readonly x0: number; readonly y0: number; readonly x1: number; readonly y1: number };

/** Whether two boxes have more than an edge in common. */
export const overlap = (a: Box, b: Box): boolean => a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1;

/** Whether any part of a segment lies in a box: clipped against its four sides. */
export function crosses([[x0, y0], [x1, y1]]: Segment, box: Box): boolean {
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
