import { type At, type Box, crosses, overlap, type Segment } from "@/core/geometry/sheetBox";

/** What a name should not stand on, px: pieces of pipe, and boxes of what is drawn. */
export type Taken = { readonly pieces: readonly Segment[]; readonly boxes: readonly Box[] };

const LETTER_PX = 6.4;
const LINE_PX = 15;
/** Kept to the edge of what is named, px. */
const EDGE_PX = 4;
/** Where in its box a name is written, by its middle: in the box's middle, or where fewer pipes run. Null where it does not fit, or would name what stands over it. */
export function findNameSpot(box: Box, name: string, taken: Taken): At | null {
  const [halfX, halfY] = [(name.length * LETTER_PX) / 2, LINE_PX / 2];
  if (box.x1 - box.x0 <= 2 * halfX || box.y1 - box.y0 <= 2 * halfY) return null;
  const xs = [(box.x0 + box.x1) / 2, box.x0 + halfX + EDGE_PX, box.x1 - halfX - EDGE_PX];
  const ys = [(box.y0 + box.y1) / 2, box.y1 - halfY - EDGE_PX, box.y0 + halfY + EDGE_PX];
  let best: { readonly spot: At; readonly cost: number } | null = null;
  for (const y of ys) {
    for (const x of xs) {
      const own: Box = { x0: x - halfX, x1: x + halfX, y0: y - halfY, y1: y + halfY };
      if (taken.boxes.some((other) => overlap(own, other))) continue;
      const cost = taken.pieces.filter((piece) => crosses(piece, own)).length;
      if (!best || cost < best.cost) best = { spot: [x, y], cost };
    }
  }
  return best?.spot ?? null;
}
