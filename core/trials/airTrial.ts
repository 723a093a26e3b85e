/**
 * How much the pressure of shut-in air changes with its temperature alone, kPa: p ΔT/T. Absolute pressure > 0 kPa,
 * temperature > −273 °C. Source: ideal gas [C]. Example: 135.8 kPa at 20 °C, 1 K → 0.463 kPa.
 */
export const computeWarmthKPa = (absoluteKPa: number, celsius: number, changeK: number): number =>
  (absoluteKPa * changeK) / (celsius + 273.15);

/**
 * Force, kN, of a pressure, kPa, on a flat wall, mm: why no plastic tank is tried with air. Source: p A [C].
 * Example: 34.5 kPa on 800 × 400 mm → 11 kN.
 */
export const computeWallForceKN = (pressureKPa: number, lengthMm: number, widthMm: number): number =>
  (pressureKPa * lengthMm * widthMm) / 1e6;
