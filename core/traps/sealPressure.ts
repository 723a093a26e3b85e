import { GRAVITY, WATER_DENSITY } from "../air/dumping";

/**
 * Suction, Pa, at which air breaks through a seal of depth H, mm ≥ 0: ρ g H. Source: hydrostatics [C].
 * Example: 50 mm → 489 Pa.
 */
export const computeSealBreakPa = (sealMm: number): number => (WATER_DENSITY * GRAVITY * sealMm) / 1000;

/**
 * Seal, mm, left after a suction, Pa ≥ 0, that did not break it, with legs of equal width: H − p/(2 ρ g); 0 when it
 * was broken. Source: hydrostatics [C]. Example: 50 mm after 300 Pa → 34.68 mm.
 */
export function computeSealAfterMm(sealMm: number, suctionPa: number): number {
  if (suctionPa >= computeSealBreakPa(sealMm)) return 0;
  return sealMm - (suctionPa / (2 * WATER_DENSITY * GRAVITY)) * 1000;
}
