import { WATER_DENSITY } from "../air/dumping";
import { computeFrictionFactor } from "../air/friction";
import { type FrictionTable, getFrictionTable } from "../air/frictionTable";

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

/** Pipes of one bore as the flow solver asks of them: what is the same at every flow and length, worked out once. */
export type BoreLaw = {
  /** Reynolds number a flow of 1 m³/s has. */
  readonly reynolds: number;
  readonly friction: FrictionTable;
  /** Pa at (m³/s)² for each unit of f L/D. */
  readonly velocityHead: number;
};

/** The law of `computeHoseLossPa` for a bore, (0, 200] mm. */
export function toBoreLaw(boreMm: number): BoreLaw {
  const boreM = boreMm / 1000;
  const area = (Math.PI / 4) * boreM ** 2;
  return {
    reynolds: (WATER_DENSITY * boreM) / (area * WATER_VISCOSITY),
    friction: getFrictionTable(PLASTIC_ROUGHNESS_M / boreM),
    velocityHead: WATER_DENSITY / (2 * area ** 2),
  };
}
