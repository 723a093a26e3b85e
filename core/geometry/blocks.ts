import type { Vec3 } from "./vec";

/** A box with its faces along the rig's axes, mm. */
export type Block = { readonly min: Vec3; readonly max: Vec3 };

const AXES = ["x", "y", "z"] as const;
const SIDES = ["min", "max"] as const;

/** Gap between two blocks, mm; negative is the depth of the overlap along the axis that frees it soonest. */
export function measureBlockGap(a: Block, b: Block): number {
  let outside = 0;
  let inside = -Infinity;
  for (const axis of AXES) {
    const gap = Math.max(a.min[axis] - b.max[axis], b.min[axis] - a.max[axis]);
    inside = Math.max(inside, gap);
    outside += Math.max(0, gap) ** 2;
  }
  return inside > 0 ? Math.sqrt(outside) : inside;
}

/** Whether two blocks share no room; sides that touch share none. */
export const areApart = (a: Block, b: Block): boolean =>
  a.max.x <= b.min.x ||
  b.max.x <= a.min.x ||
  a.max.y <= b.min.y ||
  b.max.y <= a.min.y ||
  a.max.z <= b.min.z ||
  b.max.z <= a.min.z;

/** Gaps wider than this, mm, are of no interest to any clearance rule, so a lower bound will do. */
const WIDE_MM = 500;

/**
 * Least distance, mm, from a straight leg a-b to a block; 0 where it runs through. Exact up to 500 mm, beyond that
 * at least the distance from the leg's own bounding block. The square of the distance is convex along the leg, and its
 * slope straight between the places where the leg passes a face, so the least is found and not searched for [C].
 */
export function measureLegGap(a: Vec3, b: Vec3, block: Block): number {
  const around = Math.hypot(
    measureApart(a.x, b.x, block.min.x, block.max.x),
    measureApart(a.y, b.y, block.min.y, block.max.y),
    measureApart(a.z, b.z, block.min.z, block.max.z),
  );
  if (around > WIDE_MM) return around;
  const least = Math.min(
    measureSquareAt(a, b, 0, block),
    measureSquareAt(a, b, 1, block),
    measureSquareAt(a, b, findNearestShare(a, b, block), block),
  );
  return Math.sqrt(least);
}

// Of the places where the leg passes a face the two are kept between which the slope turns from falling to rising.
function findNearestShare(a: Vec3, b: Vec3, block: Block): number {
  let low = 0;
  let high = 1;
  for (const axis of AXES) {
    const run = b[axis] - a[axis];
    if (run === 0) continue;
    for (const side of SIDES) {
      const t = (block[side][axis] - a[axis]) / run;
      if (t <= low || t >= high) continue;
      if (measureSlopeAt(a, b, t, block) > 0) high = t;
      else low = t;
    }
  }
  const falling = measureSlopeAt(a, b, low, block);
  const rising = measureSlopeAt(a, b, high, block);
  if (falling >= 0) return low;
  if (rising <= 0) return high;
  return low + (high - low) * (falling / (falling - rising));
}

function measureSquareAt(a: Vec3, b: Vec3, t: number, { min, max }: Block): number {
  const dx = measureOutside(a.x + (b.x - a.x) * t, min.x, max.x);
  const dy = measureOutside(a.y + (b.y - a.y) * t, min.y, max.y);
  const dz = measureOutside(a.z + (b.z - a.z) * t, min.z, max.z);
  return dx * dx + dy * dy + dz * dz;
}

// Half of what the square of the distance gains along the leg.
function measureSlopeAt(a: Vec3, b: Vec3, t: number, { min, max }: Block): number {
  const x = b.x - a.x;
  const y = b.y - a.y;
  const z = b.z - a.z;
  return (
    measureOutside(a.x + x * t, min.x, max.x) * x +
    measureOutside(a.y + y * t, min.y, max.y) * y +
    measureOutside(a.z + z * t, min.z, max.z) * z
  );
}

// How far past a face, with its sign; 0 between the two.
const measureOutside = (at: number, min: number, max: number): number =>
  at < min ? at - min : at > max ? at - max : 0;

const measureApart = (a: number, b: number, min: number, max: number): number =>
  Math.max(0, min - Math.max(a, b), Math.min(a, b) - max);

/** The stretch [t0, t1] of a plan leg a-b that passes over or under a block, as shares of the leg; null when it misses. */
export function measurePlanCrossing(a: Vec3, b: Vec3, block: Block): readonly [number, number] | null {
  let from = 0;
  let to = 1;
  for (const axis of ["x", "y"] as const) {
    const run = b[axis] - a[axis];
    if (run === 0) {
      if (a[axis] < block.min[axis] || a[axis] > block.max[axis]) return null;
      continue;
    }
    const t0 = (block.min[axis] - a[axis]) / run;
    const t1 = (block.max[axis] - a[axis]) / run;
    from = Math.max(from, Math.min(t0, t1));
    to = Math.min(to, Math.max(t0, t1));
  }
  return from <= to ? [from, to] : null;
}
