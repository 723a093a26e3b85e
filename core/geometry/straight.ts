import { clamp } from "../quantity/tolerance";
import { add, dot, measureLength, scale, subtract, type Vec3 } from "./vec";

/** A straight piece between two points, mm. */
export type Straight = { readonly from: Vec3; readonly to: Vec3 };

/**
 * How far apart two straight pieces are where they are nearest, mm: between the feet of their common perpendicular, or from
 * an end where that falls beside one of them. Source: geometry [C]. Example: one crosses 40 mm over the other → 40 mm.
 */
export function measureApartMm(one: Straight, other: Straight): number {
  const [p, q] = [subtract(one.to, one.from), subtract(other.to, other.from)];
  const gap = subtract(one.from, other.from);
  const [pp, pq, qq] = [dot(p, p), dot(p, q), dot(q, q)];
  const [pg, qg] = [dot(p, gap), dot(q, gap)];
  const across = pp * qq - pq * pq;
  // parallel: an end of one of them is as near as anything between
  const foot = across > 1e-9 * pp * qq ? clamp((pq * qg - qq * pg) / across, 0, 1) : 0;
  const otherShare = qq > 0 ? clamp((qg + pq * foot) / qq, 0, 1) : 0;
  const share = pp > 0 ? clamp((pq * otherShare - pg) / pp, 0, 1) : 0;
  return measureLength(subtract(add(one.from, scale(p, share)), add(other.from, scale(q, otherShare))));
}
