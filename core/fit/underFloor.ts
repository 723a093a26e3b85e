import type { Vec3 } from "../geometry/vec";

/** How much of a straight piece lies below the top of the finished floor, mm [C]. */
export function measureUnderFloorMm(from: Vec3, to: Vec3): number {
  const [low, high] = [Math.min(from.z, to.z), Math.max(from.z, to.z)];
  if (low >= 0) return 0;
  const lengthMm = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
  return high < 0 ? lengthMm : lengthMm * (low / (low - high));
}
