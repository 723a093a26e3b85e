/** The air a trap stands in. */
export type Climate = {
  /** °C in [0, 60]. */
  readonly airC: number;
  /** Relative humidity, share in [0, 1). */
  readonly humidity: number;
};

const ZERO_C_K = 273.15;
/** Gas constant of water vapour, J/(kg K), and water's density, kg/m³ [P: standard tables, from memory, 97 %]. */
const VAPOUR_GAS = 461.5;
const WATER = 998.2;
const WEEK_S = 604_800;

/** Pressure of saturated vapour, Pa: Magnus 611.2 e^(17.62 T/(243.12 + T)) [P: WMO guide, from memory, 95 %]. Example: 20 °C → 2,333 Pa. */
export const computeSaturationPa = (airC: number): number => 611.2 * Math.exp((17.62 * airC) / (243.12 + airC));

/** How water vapour spreads in air, m²/s: 2.16e-5 (T/273)^1.75 [P: gas tables, from memory, 90 %]. Example: 20 °C → 2.44e-5. */
const computeVapourSpread = (airC: number): number => 2.16e-5 * ((ZERO_C_K + airC) / ZERO_C_K) ** 1.75;

/**
 * Weeks until a seal has fallen by s, mm > 0, where only the inlet leg dries, through L mm > 0 of still air over it, and the
 * legs level out: t = ((L + s)² − L²) ρ/(D c (1 − RH)). Source: Fick's law [C]. Null at 100 % humidity: it never dries.
 * Example: L 100, 20 °C, 50 %: a leg alone would lose 1.28 mm a week, the seal half of that.
 */
export function computeClimateDryWeeks(columnMm: number, fallMm: number, { airC, humidity }: Climate): number | null {
  if (humidity >= 1) return null;
  const vapour = computeSaturationPa(airC) / (VAPOUR_GAS * (ZERO_C_K + airC));
  const square = ((columnMm + fallMm) ** 2 - columnMm ** 2) / 1e6;
  return (square * WATER) / (computeVapourSpread(airC) * vapour * (1 - humidity)) / WEEK_S;
}
