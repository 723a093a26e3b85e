import { WATER_DENSITY } from "../air/dumping";
import { computeFriction, computeFrictionFactor, type Friction } from "../air/friction";

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

/** A full pipe as the flow solver asks of it: what is the same at every flow, worked out once. */
export type PipeLaw = {
  /** Reynolds number a flow of 1 m³/s has. */
  readonly reynolds: number;
  readonly roughness: number;
  /** Pa at (m³/s)² for each unit of f L/D, and so many units. */
  readonly velocityHead: number;
  readonly slenderness: number;
  /** Pa at (m³/s)² of all bends together. */
  readonly bends: number;
};

/** The law of `computeHoseLossPa` for one pipe; pipes of one bore in a row add their lengths and bends. */
export function toPipeLaw({ boreMm, lengthMm, lossK }: WaterPipe): PipeLaw {
  const boreM = boreMm / 1000;
  const area = (Math.PI / 4) * boreM ** 2;
  const velocityHead = WATER_DENSITY / (2 * area ** 2);
  return {
    reynolds: (WATER_DENSITY * boreM) / (area * WATER_VISCOSITY),
    roughness: PLASTIC_ROUGHNESS_M / boreM,
    velocityHead,
    slenderness: lengthMm / boreMm,
    bends: lossK * velocityHead,
  };
}

const friction: Friction = { f: 0, growth: 0 };

/** Friction of a pipe, Pa, at a flow > 0 m³/s, without its bends, which grow with the square alone. */
export function computeFrictionPa({ reynolds, roughness, velocityHead, slenderness }: PipeLaw, flow: number): number {
  return computeFrictionFactor(reynolds * flow, roughness) * slenderness * velocityHead * flow * flow;
}

/** The same added to `out`, with how it grows, Pa s/m³, in its second place. */
export function addFriction(
  { reynolds, roughness, velocityHead, slenderness }: PipeLaw,
  flow: number,
  out: number[],
): void {
  computeFriction(reynolds * flow, roughness, friction);
  const perFlow = friction.f * slenderness * velocityHead * flow;
  out[0]! += perFlow * flow;
  out[1]! += perFlow * (2 + friction.growth);
}
