import { SECONDS_PER_HOUR } from "../quantity/convert";

/** Water near freezing: heat, J/(kg K), and what must leave it to become ice, J/kg [P: standard tables, from memory, 97 %]. */
const WATER_HEAT = 4186;
const ICE_HEAT = 334_000;

/** A body of water that loses its heat to the air around it. */
export type Cooling = {
  readonly massKg: number;
  /** Heat lost for each degree of difference, W/K, > 0. */
  readonly lossWPerK: number;
  readonly startC: number;
  readonly airC: number;
};

/**
 * Hours until a body of water is at 0 °C: (m c/UA) ln((T0 − Ta)/(0 − Ta)). Null where the air does not freeze; 0
 * where it is cold already. Mass > 0 kg. Source: Newton's cooling [C].
 * Example: 50 kg, 10 °C, 3 W/K, −10 °C outside → 13.4 h; a valve of 0.2 kg, 0.15 W/K → 1.07 h.
 */
export function computeHoursToFreezing({ massKg, lossWPerK, startC, airC }: Cooling): number | null {
  if (airC >= 0) return null;
  if (startC <= 0) return 0;
  return ((massKg * WATER_HEAT) / lossWPerK) * (Math.log((startC - airC) / -airC) / SECONDS_PER_HOUR);
}

/**
 * Hours from 0 °C until a share of it, (0, 1], is ice: share m L/(UA (0 − Ta)). Null where the air does not freeze.
 * Source: heat of fusion at a constant loss [C]. Example: a tenth of 50 kg, 3 W/K, −10 °C → 15.5 h.
 */
export function computeHoursToIce({ massKg, lossWPerK, airC }: Omit<Cooling, "startC">, share: number): number | null {
  return airC >= 0 ? null : (share * massKg * ICE_HEAT) / (lossWPerK * -airC) / SECONDS_PER_HOUR;
}
