import { findTrap } from "../design/lineItems";
import type { DrainPath } from "../falls/drainPath";
import { dot, subtract, type Vec3, vec } from "../geometry/vec";

/** The water in a trap at one attitude. */
export type TrapWater = {
  /** True height of the water, mm: that of the weir. */
  readonly surfaceMm: number;
  /** Depth of water over the dip, mm; 0 when it has run out, and for a waterless valve. */
  readonly sealMm: number;
  /** The dip: the lowest point of the wall that parts room and tank. */
  readonly dipMm: Vec3;
};

/**
 * The least seal of a drain's water trap, mm, over some unit up directions, of which there is one at least; 0 without a
 * trap. Source: as of `computeTrapWater` [C].
 */
export function computeLeastSealMm(
  { drain, nodesMm, outletMm }: DrainPath,
  ups: readonly { readonly up: Vec3 }[],
): number {
  const trap = findTrap(drain);
  if (!trap || trap.sealMm === 0) return 0;
  const across = subtract(nodesMm[0]!, outletMm);
  let leastMm = Infinity;
  for (const { up } of ups) {
    leastMm = Math.min(leastMm, (up.x * across.x) / 2 + (up.y * across.y) / 2 + up.z * trap.sealMm);
  }
  return Math.max(0, leastMm);
}

/**
 * Seal of a water trap, mm, for a unit up direction: the water stands at its weir, the dip halfway along its span
 * and `sealMm` below. Tilting toward the outlet side costs half the span times the tilt [C]. Null without a trap.
 */
export function computeTrapWater(path: DrainPath, up: Vec3): TrapWater | null {
  const trap = findTrap(path.drain);
  if (!trap) return null;
  const weir = path.nodesMm[0]!;
  const across = subtract(weir, path.outletMm);
  const dipMm = vec(weir.x - across.x / 2, weir.y - across.y / 2, weir.z - trap.sealMm);
  const surfaceMm = dot(up, weir);
  const sealMm = trap.sealMm === 0 ? 0 : Math.max(0, surfaceMm - dot(up, dipMm));
  return { surfaceMm, sealMm, dipMm };
}
