import { WATER_DENSITY } from "../air/dumping";
import { computeFrictionFactor } from "../air/friction";

/** Water at 20 °C, Pa s [P: standard tables, from memory, 97 %]. */
export const WATER_VISCOSITY = 1.002e-3;
/** Wall of drawn plastic, m [T]. */
const PLASTIC_ROUGHNESS_M = 1.5e-6;

export type WaterPipe = { readonly boreMm: number; readonly lengthMm: number; readonly lossK: number };

/**
 * Pressure, Pa, that drives water through a full pipe: (f L/D + ΣK) ρ v²/2. Flow ≥ 0 m³/s; bore (0, 200] mm;
 * length ≥ 0 mm; plastic wall, water at 20 °C. Source: Darcy and Weisbach [C].
 * Example: 3 m of 12.7 mm at 10 L/min, no bends → 5.57 kPa.
 */
export function computeHoseLossPa(flowM3PerS: number, { boreMm, lengthMm, lossK }: WaterPipe): number {
  if (flowM3PerS <= 0) return 0;
  const boreM = boreMm / 1000;
  const velocity = flowM3PerS / ((Math.PI / 4) * boreM ** 2);
  const reynolds = (WATER_DENSITY * velocity * boreM) / WATER_VISCOSITY;
  const f = computeFrictionFactor(reynolds, PLASTIC_ROUGHNESS_M / boreM);
  return ((f * lengthMm) / boreMm + lossK) * ((WATER_DENSITY * velocity ** 2) / 2);
}
