import { GRAVITY, WATER_DENSITY } from "../air/dumping";

/** A hole with a fitting in it passes this share of what an ideal one would [T: 0.6 sharp, 0.8 short tube]. */
const HOLE_CD = 0.6;

/**
 * Water, L/s, that comes in through an open hole of bore D, mm > 0, so deep under the water, mm ≥ 0: Cd A √(2 g h).
 * Source: Torricelli [C on T: Cd 0.6]. Example: 38 mm, 500 mm down → 128 L/min.
 */
export const computeFloodLps = (boreMm: number, depthMm: number, cd = HOLE_CD): number =>
  cd * (Math.PI / 4) * (boreMm / 1000) ** 2 * Math.sqrt((2 * GRAVITY * Math.max(0, depthMm)) / 1000) * 1000;

/**
 * What the free surface of a tank takes more where its water runs over to others that share its level, mm: ρ l b d²/Δ, the middle of it d
 * off the middle of all of them athwart. Lengths in mm > 0, d any, mass in kg > 0. Source: parallel axes [C]. Example: 800 × 400 mm,
 * 600 mm off, 4,000 kg → 28.7 mm.
 */
export const computeSharedSurfaceMm = (lengthMm: number, acrossMm: number, offMm: number, massKg: number): number =>
  ((WATER_DENSITY * (lengthMm / 1000) * (acrossMm / 1000) * (offMm / 1000) ** 2) / massKg) * 1000;

/**
 * What the free surface of a tank takes off a boat's metacentric height, mm: ρ l b³/12 over her mass; b across the heel.
 * Lengths in mm > 0, mass in kg > 0. Source: physics [C]. Example: 800 × 400 mm across 400, 4,000 kg → 1.06 mm.
 */
export const computeFreeSurfaceMm = (lengthMm: number, acrossMm: number, massKg: number): number =>
  ((WATER_DENSITY * (lengthMm / 1000) * (acrossMm / 1000) ** 3) / 12 / massKg) * 1000;
