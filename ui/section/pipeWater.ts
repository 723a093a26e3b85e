import { clipBelow, type Vec2 } from "@/core/geometry/polygon";

/** A point on the screen, px: to the right and down. */
export type ScreenPoint = readonly [number, number];

/** Corners of half a pipe's round end. */
const CAP_CORNERS = 6;

/**
 * The water that stands in a pipe drawn as a thick line, px: one outline for each straight piece, cut level at the
 * surface. Outlines of neighbours overlap at a bend as the pieces of the pipe do. Cut here and not by the browser: a
 * clip that moves makes it sort all layers of the page anew.
 */
export function cutPipeWater(course: readonly ScreenPoint[], width: number, surfaceY: number): ScreenPoint[][] {
  return course.slice(1).flatMap((to, i) => {
    const wet = clipBelow(outlinePiece(course[i]!, to, width / 2), (p) => -p.v, -surfaceY);
    return wet.length > 2 ? [wet.map(({ u, v }) => [u, v] as const)] : [];
  });
}

// A straight piece with both ends round.
function outlinePiece([x0, y0]: ScreenPoint, [x1, y1]: ScreenPoint, radius: number): Vec2[] {
  const along = Math.atan2(y1 - y0, x1 - x0);
  const cap = (x: number, y: number, from: number) =>
    Array.from({ length: CAP_CORNERS + 1 }, (_, i) => {
      const angle = from + (i / CAP_CORNERS) * Math.PI;
      return { u: x + radius * Math.cos(angle), v: y + radius * Math.sin(angle) };
    });
  return [...cap(x1, y1, along - Math.PI / 2), ...cap(x0, y0, along + Math.PI / 2)];
}
