import { MM3_PER_L } from "../quantity/convert";
import { measureSignedArea } from "./polygon";
import { placeOnAxis, type Solid, toPrism } from "./solid";
import { dot, type Vec3 } from "./vec";

/**
 * A solid as signed tetrahedra seen along one up direction: only the heights of the corners are left.
 * Build it once for an attitude and ask it many levels.
 */
export type HeightField = {
  /** Four ascending corner heights a tetrahedron, mm. */
  readonly heights: Float64Array;
  /** Signed volume of each tetrahedron, mm³; negative where the fan of a hollow profile overlaps itself. */
  readonly volumes: Float64Array;
  /** Heights of the lowest and the highest corner, mm. */
  readonly lowestMm: number;
  readonly highestMm: number;
  readonly capacityL: number;
};

/**
 * Heights of a solid's corners over a level plane, for an up direction `up` (unit vector, rig frame).
 * A profile of any outline that does not cross itself is a fan of signed triangles, each pushed along the axis
 * as three tetrahedra [C].
 */
export function buildHeightField(solid: Solid, up: Vec3): HeightField {
  const { axis, lengthMm, profileMm } = toPrism(solid);
  const low = profileMm.map((p) => dot(up, placeOnAxis(axis, p, 0)));
  const rise = dot(up, placeOnAxis(axis, { u: 0, v: 0 }, lengthMm));
  const sense = Math.sign(measureSignedArea(profileMm));
  const triangles = profileMm.length - 2;
  const heights = new Float64Array(triangles * 12);
  const volumes = new Float64Array(triangles * 3);
  let total = 0;
  for (let i = 0; i < triangles; i++) {
    const b = profileMm[i + 1]!;
    const c = profileMm[i + 2]!;
    const first = profileMm[0]!;
    const area = ((b.u - first.u) * (c.v - first.v) - (c.u - first.u) * (b.v - first.v)) / 2;
    const third = (sense * area * lengthMm) / 3;
    const [ha, hb, hc] = [low[0]!, low[i + 1]!, low[i + 2]!];
    setSorted(heights, i * 12, ha, hb, hc, hc + rise);
    setSorted(heights, i * 12 + 4, ha, hb, hb + rise, hc + rise);
    setSorted(heights, i * 12 + 8, ha, ha + rise, hb + rise, hc + rise);
    volumes.fill(third, i * 3, i * 3 + 3);
    total += 3 * third;
  }
  const lowestMm = Math.min(...low) + Math.min(0, rise);
  const highestMm = Math.max(...low) + Math.max(0, rise);
  return { heights, volumes, lowestMm, highestMm, capacityL: total / MM3_PER_L };
}

/**
 * Volume V, L, of a solid below the level plane at height `levelMm` (along up, from the solid's own origin).
 * Valid for any level; 0 below the lowest corner, the capacity above the highest. Exact, not sampled [C].
 */
export function measureVolumeBelowL(field: HeightField, levelMm: number): number {
  const { heights, volumes, lowestMm, highestMm, capacityL } = field;
  if (levelMm <= lowestMm) return 0;
  if (levelMm >= highestMm) return capacityL;
  let sum = 0;
  for (let i = 0; i < volumes.length; i++) sum += volumes[i]! * measureShareBelow(heights, i * 4, levelMm);
  return sum / MM3_PER_L;
}

// Four numbers ascending, by the shortest sorting network.
function setSorted(into: Float64Array, at: number, a: number, b: number, c: number, d: number): void {
  const low = Math.min(a, b);
  const high = Math.max(a, b);
  const low2 = Math.min(c, d);
  const high2 = Math.max(c, d);
  const middle = Math.max(low, low2);
  const middle2 = Math.min(high, high2);
  into[at] = Math.min(low, low2);
  into[at + 1] = Math.min(middle, middle2);
  into[at + 2] = Math.max(middle, middle2);
  into[at + 3] = Math.max(high, high2);
}

// Share of a tetrahedron below h. Each branch is a sum of positive products, so near-equal heights lose no digits:
// below b a small similar tetrahedron, above c the whole less one, between them a wedge cut into three tetrahedra.
function measureShareBelow(heights: Float64Array, at: number, h: number): number {
  const a = heights[at]!;
  const d = heights[at + 3]!;
  if (h <= a) return 0;
  if (h >= d) return 1;
  const b = heights[at + 1]!;
  const c = heights[at + 2]!;
  if (h < b) return (((h - a) / (b - a)) * ((h - a) / (c - a)) * (h - a)) / (d - a);
  if (h >= c) return 1 - (((d - h) / (d - a)) * ((d - h) / (d - b)) * (d - h)) / (d - c);
  const ac = (h - a) / (c - a);
  const ad = (h - a) / (d - a);
  const bc = (h - b) / (c - b);
  const bd = (h - b) / (d - b);
  return ac * ad + ad * bc * (1 - ac) + bc * bd * (1 - ad);
}
