type Point = { readonly x: number; readonly y: number };

/** A box on the sheet, px. */
export type SheetBox = { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number };

/** What a name should not stand on: pieces of pipe, and boxes of what is drawn. */
export type Taken = {
  readonly pieces: readonly (readonly [Point, Point])[];
  readonly boxes: readonly SheetBox[];
};

const LETTER_PX = 6.4;
const LINE_PX = 15;
/** Kept to the edge of what is named, px. */
const EDGE_PX = 4;
/** Where in its box a name is written, by its middle: in the box's middle, or where fewer pipes run. Null where it does not fit, or would name what stands over it. */
export function findNameSpot(box: SheetBox, name: string, taken: Taken): Point | null {
  const half = { x: (name.length * LETTER_PX) / 2, y: LINE_PX / 2 };
  if (box.right - box.left <= 2 * half.x || box.bottom - box.top <= 2 * half.y) return null;
  const [middleX, middleY] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const xs = [middleX, box.left + half.x + EDGE_PX, box.right - half.x - EDGE_PX];
  const ys = [middleY, box.bottom - half.y - EDGE_PX, box.top + half.y + EDGE_PX];
  let best: { readonly spot: Point; readonly cost: number } | null = null;
  for (const y of ys) {
    for (const x of xs) {
      const own = { left: x - half.x, right: x + half.x, top: y - half.y, bottom: y + half.y };
      if (taken.boxes.some((other) => overlaps(own, other))) continue;
      const cost = taken.pieces.filter(([a, b]) => crosses(a, b, own)).length;
      if (!best || cost < best.cost) best = { spot: { x, y }, cost };
    }
  }
  return best?.spot ?? null;
}

const overlaps = (a: SheetBox, b: SheetBox): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

// Cut off at each side of the box in turn; what is left of the piece lies in it.
function crosses(a: Point, b: Point, { left, right, top, bottom }: SheetBox): boolean {
  let [from, to] = [0, 1];
  for (const [start, along, low, high] of [
    [a.x, b.x - a.x, left, right],
    [a.y, b.y - a.y, top, bottom],
  ] as const) {
    if (along === 0) {
      if (start < low || start > high) return false;
      continue;
    }
    const [one, other] = [(low - start) / along, (high - start) / along];
    from = Math.max(from, Math.min(one, other));
    to = Math.min(to, Math.max(one, other));
  }
  return from <= to;
}
