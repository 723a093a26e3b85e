/** What a heater beside the tank must send past it to bring so much heat. */
export type HeatCarriers = {
  /** Warm air, m³ an hour, that cools by `AIR_DROP_K` on its way. */
  readonly airM3PerH: number;
  /** Glycol and water, L a minute, that cools by `GLYCOL_DROP_K`. */
  readonly glycolLpm: number;
};

export const AIR_DROP_K = 30;
export const GLYCOL_DROP_K = 10;
/** Heat in a cubic metre of air and in a litre of half glycol, J/K [P: standard tables, from memory, 95 %]. */
const AIR_J_PER_M3_K = 1_210;
const GLYCOL_J_PER_L_K = 3_600;

/** Flows that carry so many watts ≥ 0: P = ρ c V ΔT [C; that the carriers cool so far: T]. Example: 100 W → 9.9 m³/h, 0.17 L/min. */
export const computeHeatCarriers = (watts: number): HeatCarriers => ({
  airM3PerH: (watts / (AIR_J_PER_M3_K * AIR_DROP_K)) * 3_600,
  glycolLpm: (watts / (GLYCOL_J_PER_L_K * GLYCOL_DROP_K)) * 60,
});
