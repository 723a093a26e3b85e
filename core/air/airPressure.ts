import { type AirState, USUAL_AIR } from "./airState";
import { computeFrictionFactor } from "./friction";

/** Wall of drawn plastic, m [T]. */
const PLASTIC_ROUGHNESS_M = 1.5e-6;

/** A stretch of a breather; its air is the usual one where none is named. */
export type AirPipe = {
  readonly boreM: number;
  readonly lengthM: number;
  readonly lossK: number;
  readonly air?: AirState;
};

/** Pipes one after the other from a tank to the open. */
export type Airway = readonly AirPipe[];

/** The same through several pipes in a row: their pressures add up [C]. */
export const computeAirwayPressurePa = (flowM3PerS: number, airway: Airway): number =>
  airway.reduce((sum, pipe) => sum + computeAirPressurePa(flowM3PerS, pipe), 0);

/**
 * Pressure, Pa, that drives air through a breather: Δp = (f L/D + ΣK) ρ v²/2. Flow ≥ 0 m³/s; bore (0, 0.2] m;
 * length ≥ 0 m; plastic wall.
 * Source: Darcy and Weisbach [C].
 * Example: 0.8 L/s through 2 m of 9.5 mm, ΣK 1.5 → 669 Pa; of 12.7 mm → 177 Pa.
 */
export function computeAirPressurePa(
  flowM3PerS: number,
  { boreM, lengthM, lossK, air: { density, viscosity } = USUAL_AIR }: AirPipe,
): number {
  if (flowM3PerS <= 0) return 0;
  const velocity = flowM3PerS / ((Math.PI / 4) * boreM ** 2);
  const reynolds = (density * velocity * boreM) / viscosity;
  const f = computeFrictionFactor(reynolds, PLASTIC_ROUGHNESS_M / boreM);
  return ((f * lengthM) / boreM + lossK) * ((density * velocity ** 2) / 2);
}
