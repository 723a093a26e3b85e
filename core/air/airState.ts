import type { RulesChoice } from "../design/design";
import { lookUpValue } from "../rules/lookUpLimit";

/** What air weighs, kg/m³, and how it drags, Pa s. */
export type AirState = { readonly density: number; readonly viscosity: number };

/** Of the standard atmosphere: pressure at sea level, Pa, and the gas constant of air, J/(kg K) [P: ISO 2533, from memory, 97 %]. */
const SEA_LEVEL_PA = 101_325;
const AIR_GAS = 287.05;
const ZERO_C_K = 273.15;

/**
 * Pressure of the air, Pa, at an altitude in [−500, 11,000] m: p = 101,325 (1 − 2.25577e-5 h)^5.25588.
 * Source: standard atmosphere [P: ISO 2533, from memory, 97 %]. Example: 2,000 m → 79,495 Pa.
 */
export const computeAtmospherePa = (altitudeM: number): number =>
  SEA_LEVEL_PA * (1 - 2.25577e-5 * Math.min(11_000, Math.max(-500, altitudeM))) ** 5.25588;

/**
 * Air at a temperature in [−60, 80] °C and an altitude, m: ρ = p/(R T) as an ideal gas, and Sutherland's viscosity
 * [P: ISO 2533, from memory, 97 %]. Example: 20 °C at sea level → 1.204 kg/m³, 1.81e-5 Pa s.
 */
export function computeAir(temperatureC: number, altitudeM: number): AirState {
  const kelvin = ZERO_C_K + Math.min(80, Math.max(-60, temperatureC));
  return {
    density: computeAtmospherePa(altitudeM) / (AIR_GAS * kelvin),
    viscosity: (1.458e-6 * kelvin ** 1.5) / (kelvin + 110.4),
  };
}

/** Where nothing else is said: 20 °C at sea level. */
export const USUAL_AIR = computeAir(20, 0);

/** The air of the place the design is reckoned for. */
export const readAir = (rules: RulesChoice): AirState =>
  computeAir(lookUpValue(rules, "airTemperature"), lookUpValue(rules, "altitude"));
