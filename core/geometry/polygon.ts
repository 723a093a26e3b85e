/** A corner of a flat profile, mm. */
export type Vec2 = { readonly u: number; readonly v: number };

/** Signed area, mm²: positive when the corners run anticlockwise. Shoelace formula [C]. */
export function measureSignedArea(corners: readonly Vec2[]): number {
  let twice = 0;
  for (let i = 0; i < corners.length; i++) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    twice += a.u * b.v - b.u * a.v;
  }
  return twice / 2;
}

/** The middle of an outline's area, wherever its corners run; the mean of its corners where it has no area. Shoelace formula [C]. */
export function findCentroid(corners: readonly Vec2[]): Vec2 {
  let [twice, u, v] = [0, 0, 0];
  for (let i = 0; i < corners.length; i++) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    const cross = a.u * b.v - b.u * a.v;
    twice += cross;
    u += (a.u + b.u) * cross;
    v += (a.v + b.v) * cross;
  }
  if (twice !== 0) return { u: u / (3 * twice), v: v / (3 * twice) };
  const mean = (pick: (p: Vec2) => number) => corners.reduce((sum, p) => sum + pick(p), 0) / corners.length;
  return { u: mean((p) => p.u), v: mean((p) => p.v) };
}

/** How far a point lies inside an outline that does not cross itself, mm: from the nearest edge, below 0 outside. */
export function measureInside(corners: readonly Vec2[], p: Vec2): number {
  let [nearest, isInside] = [Infinity, false];
  for (let i = 0; i < corners.length; i++) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    const [du, dv] = [b.u - a.u, b.v - a.v];
    const along = Math.max(0, Math.min(1, ((p.u - a.u) * du + (p.v - a.v) * dv) / (du * du + dv * dv || 1)));
    nearest = Math.min(nearest, Math.hypot(p.u - a.u - along * du, p.v - a.v - along * dv));
    // a ray to the right meets an odd number of edges from inside
    if (a.v > p.v !== b.v > p.v && p.u < a.u + ((p.v - a.v) / dv) * du) isInside = !isInside;
  }
  return isInside ? nearest : -nearest;
}

/** The first two edges that cross or touch without being neighbours, or null for a sound outline. */
export function findCrossing(corners: readonly Vec2[]): readonly [number, number] | null {
  const n = corners.length;
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      if (j === i + 1 || (i === 0 && j === n - 1)) continue;
      if (segmentsMeet(corners[i]!, corners[(i + 1) % n]!, corners[j]!, corners[(j + 1) % n]!)) return [i, j];
    }
  }
  return null;
}

/** The part of an outline that lies at or below a line, by cutting edge by edge; `heightOf` is linear in u and v. */
export function clipBelow(corners: readonly Vec2[], heightOf: (p: Vec2) => number, level: number): Vec2[] {
  const kept: Vec2[] = [];
  for (let i = 0; i < corners.length; i++) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    const ha = heightOf(a) - level;
    const hb = heightOf(b) - level;
    if (ha <= 0) kept.push(a);
    if ((ha < 0 && hb > 0) || (ha > 0 && hb < 0)) {
      const t = ha / (ha - hb);
      kept.push({ u: a.u + (b.u - a.u) * t, v: a.v + (b.v - a.v) * t });
    }
  }
  return kept;
}

function turn(a: Vec2, b: Vec2, c: Vec2): number {
  return (b.u - a.u) * (c.v - a.v) - (b.v - a.v) * (c.u - a.u);
}

function segmentsMeet(a: Vec2, b: Vec2, c: Vec2, d: Vec2): boolean {
  const abc = turn(a, b, c);
  const abd = turn(a, b, d);
  const cda = turn(c, d, a);
  const cdb = turn(c, d, b);
  if (abc * abd < 0 && cda * cdb < 0) return true;
  return (
    (abc === 0 && isBetween(a, b, c)) ||
    (abd === 0 && isBetween(a, b, d)) ||
    (cda === 0 && isBetween(c, d, a)) ||
    (cdb === 0 && isBetween(c, d, b))
  );
}

function isBetween(a: Vec2, b: Vec2, p: Vec2): boolean {
  return (
    p.u >= Math.min(a.u, b.u) && p.u <= Math.max(a.u, b.u) && p.v >= Math.min(a.v, b.v) && p.v <= Math.max(a.v, b.v)
  );
}
