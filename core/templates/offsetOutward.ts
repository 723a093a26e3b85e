import { measureSignedArea, type Vec2 } from "../geometry/polygon";

/** A corner may stick out this many times as far as its walls, where two meet at a sharp angle. */
const MOST_MITRE = 4;

/**
 * The outline of a polygon with walls of a thickness, mm ≥ 0, put on its outside; corners stay sharp up to a mitre of
 * four times the wall. For outlines that do not cross themselves [C].
 */
export function offsetOutward(outline: readonly Vec2[], byMm: number): Vec2[] {
  const sense = measureSignedArea(outline) >= 0 ? 1 : -1;
  const normal = (a: Vec2, b: Vec2): Vec2 => {
    const length = Math.hypot(b.u - a.u, b.v - a.v) || 1;
    return { u: (sense * (b.v - a.v)) / length, v: (-sense * (b.u - a.u)) / length };
  };
  return outline.map((p, i) => {
    const before = normal(outline[(i + outline.length - 1) % outline.length]!, p);
    const after = normal(p, outline[(i + 1) % outline.length]!);
    const half = { u: before.u + after.u, v: before.v + after.v };
    const square = half.u * half.u + half.v * half.v;
    const reach = square > 1e-9 ? Math.min((2 * byMm) / square, (MOST_MITRE * byMm) / Math.sqrt(square)) : 0;
    return { u: p.u + half.u * reach, v: p.v + half.v * reach };
  });
}
