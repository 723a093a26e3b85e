import type { Rig } from "../design/rig";
import type { Vec3 } from "../geometry/vec";

export const RIG_SIDES = ["left", "right", "rear", "front"] as const;
export type RigSide = (typeof RIG_SIDES)[number];

type Outline = Pick<Rig, "lengthMm" | "widthMm">;

/** A hand reaches from beside a rig up to so far in, mm [T]. */
export const REACH_MM = 200;

/** How far a place is outside of a side, mm; below 0 inside. */
export function measureBeyond({ lengthMm, widthMm }: Outline, { x, y }: Vec3, side: RigSide): number {
  return { left: y - widthMm / 2, right: -y - widthMm / 2, rear: -x, front: x - lengthMm }[side];
}

/** The side a place is the furthest beyond, or inside the nearest to, and by how much it is outside, mm. */
export const findNearestSide = (rig: Outline, p: Vec3): { readonly side: RigSide; readonly byMm: number } =>
  RIG_SIDES.map((side) => ({ side, byMm: measureBeyond(rig, p, side) })).reduce((a, b) => (b.byMm > a.byMm ? b : a));

/** How far in from the nearest edge of the rig a place lies, mm; below 0 outside. */
export const measureInMm = (rig: Outline, p: Vec3): number => -findNearestSide(rig, p).byMm;
