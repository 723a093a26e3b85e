/** The air outside, kPa [P: standard atmosphere]. */
export const ATMOSPHERE_KPA = 101.325;

/**
 * Water, L, an accumulator gives between cut-out and cut-in: V p₀ (1/p₁ − 1/p₂) with absolute pressures; gauges show
 * less by the atmosphere. Volume > 0 L, pre-charge ≤ cut-in < cut-out, kPa as gauges show them; 0 where they are not in
 * that order. Source: Boyle's law [C]. Example: 1 L, 170/180/310 kPa → 0.305 L.
 */
export function computeAccumulatorDrawL(
  volumeL: number,
  prechargeKPa: number,
  cutInKPa: number,
  cutOutKPa: number,
): number {
  if (cutOutKPa <= cutInKPa) return 0;
  // over-charged it holds nothing until the pressure has risen to its charge
  const low = Math.max(cutInKPa, prechargeKPa) + ATMOSPHERE_KPA;
  const high = cutOutKPa + ATMOSPHERE_KPA;
  if (high <= low) return 0;
  return volumeL * (prechargeKPa + ATMOSPHERE_KPA) * (1 / low - 1 / high);
}
