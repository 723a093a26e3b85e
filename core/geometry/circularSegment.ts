import { clamp, safeAcos } from "../quantity/tolerance";

/** Area, same unit squared, of a circle of diameter D wetted to depth y; y is clamped to [0, D] [C]. */
export function measureSegmentArea(diameter: number, depth: number): number {
  const theta = measureFillAngle(diameter, depth);
  return (diameter ** 2 / 8) * (theta - Math.sin(theta));
}

/** Fill angle θ, rad in [0, 2π], of a circle of diameter D wetted to depth y. */
export function measureFillAngle(diameter: number, depth: number): number {
  return 2 * safeAcos(1 - (2 * clamp(depth, 0, diameter)) / diameter);
}

/**
 * Integral of the segment area over depth from 0 to y; above D it grows with the full area.
 * With r = D/2 and c = (r − y)/r: r³(√(1−c²)(2+c²)/3 − c·acos c) [C, by parts].
 */
export function integrateSegmentArea(diameter: number, depth: number): number {
  if (depth <= 0) return 0;
  const r = diameter / 2;
  const c = clamp((r - depth) / r, -1, 1);
  const inside = r ** 3 * ((Math.sqrt(1 - c * c) * (2 + c * c)) / 3 - c * safeAcos(c));
  return inside + Math.max(0, depth - diameter) * Math.PI * r * r;
}
