import { clamp } from "../quantity/tolerance";

/** A hole that lets a pipe through a floor at a slant: its length along the slant and its width, mm. */
export type Hole = { readonly lengthMm: number; readonly widthMm: number };

/** The steepest the tangent is asked for, so that a pipe that lies flat has a long hole and not an endless one. */
const FLATTEST_RAD = 0.5e-2;

/**
 * Hole in a level floor of thickness t, mm ≥ 0, for a pipe of outside diameter d, mm > 0, that goes down at an angle θ
 * to the floor in (0, π/2], with c, mm ≥ 0, to spare all round: length (d + 2c)/sin θ + t/tan θ, width d + 2c.
 * A round hole needs the length as its diameter unless it is drilled along the pipe. Source: geometry [C].
 * Example: d 40, t 40, 45°, c 0 → 96.6 mm long, 40 mm wide.
 */
export function computeFloorHole(outerMm: number, angleRad: number, thicknessMm: number, clearanceMm = 0): Hole {
  const angle = clamp(angleRad, FLATTEST_RAD, Math.PI / 2);
  const widthMm = outerMm + 2 * clearanceMm;
  return { lengthMm: widthMm / Math.sin(angle) + thicknessMm / Math.tan(angle), widthMm };
}

/**
 * The same in an upright wall for a pipe at a slope θ to the level in [0, π/2): height (d + 2c)/cos θ + t tan θ.
 * Source: geometry [C].
 */
export function computeWallHole(outerMm: number, slopeRad: number, thicknessMm: number, clearanceMm = 0): Hole {
  const slope = clamp(slopeRad, 0, Math.PI / 2 - FLATTEST_RAD);
  const widthMm = outerMm + 2 * clearanceMm;
  return { lengthMm: widthMm / Math.cos(slope) + thicknessMm * Math.tan(slope), widthMm };
}
