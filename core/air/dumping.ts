import { type AirPipe, type Airway, computeAirPressurePa, computeAirwayPressurePa } from "./airPressure";

/** Water at 20 °C, kg/m³ [P: Kell 1975, from memory], and the fall of everything, m/s². */
export const WATER_DENSITY = 998.2;
export const GRAVITY = 9.80665;

/** Where nothing else is said: a sharp-edged outlet passes this share of what an ideal one would [T: 0.6 sharp, 0.8 short tube]. */
export const OUTLET_CD = 0.6;

export type Dumping = { readonly flowM3PerS: number; readonly suctionPa: number };

/**
 * Flow out of a tank and the suction its breather leaves in it, solved together: q = Cd a √(2 (g h − Δp(q)/ρ)).
 * Head ≥ 0 m over the outlet's centre; bore (0, 0.2] m. Without a breather the flow is taken as that of an open tank
 * with the suction unknown, so the caller must not ask. The left side rises and the right falls with q, so the answer
 * is the only one. Source: Torricelli with Darcy and Weisbach [C].
 * Example: head 0.2 m, outlet 38 mm, 2 m of 9.5 mm, ΣK 1.5 → 0.9708 L/s, 942 Pa; of 12.7 mm → 1.2136 L/s, 370 Pa.
 */
export function computeDumping(headM: number, outletBoreM: number, airway: Airway, cd = OUTLET_CD): Dumping {
  const flowAt = (suctionPa: number) => computeOutletFlow(headM, outletBoreM, suctionPa, cd);
  let low = 0;
  let high = flowAt(0);
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (flowAt(computeAirwayPressurePa(middle, airway)) > middle) low = middle;
    else high = middle;
  }
  const flowM3PerS = (low + high) / 2;
  return { flowM3PerS, suctionPa: computeAirwayPressurePa(flowM3PerS, airway) };
}

/** Flow, m³/s, out of a bore under a head less the suction over it: Cd a √(2 (g h − p/ρ)), 0 where nothing drives it. */
export function computeOutletFlow(headM: number, outletBoreM: number, suctionPa = 0, cd = OUTLET_CD): number {
  const area = (Math.PI / 4) * outletBoreM ** 2;
  return cd * area * Math.sqrt(Math.max(0, 2 * (GRAVITY * headM - suctionPa / WATER_DENSITY)));
}

/**
 * Least bore, m, of a breather of a length and loss that lets the outlet run as an open tank would at no more than
 * `mostPa` > 0. On the safe side: the suction itself would slow the outlet. Source: halving; the pressure falls with
 * the bore [C]. Example: outlet 38 mm, head 0.2 m, 2 m, ΣK 3, 250 Pa → 15.2 mm.
 */
export function computeLeastBreatherBoreM(
  headM: number,
  outletBoreM: number,
  mostPa: number,
  rest: Omit<AirPipe, "boreM">,
  cd = OUTLET_CD,
): number {
  return computeLeastBoreForFlowM(computeOutletFlow(headM, outletBoreM, 0, cd), mostPa, [{ ...rest, boreM: 1 }]);
}

/**
 * Least bore, m in [0.001, 0.2], of one pipe as long and with as many losses as all of an airway that lets a flow, m³/s ≥ 0,
 * in at no more than `mostPa` > 0. Source: halving; the pressure falls with the bore [C].
 */
export function computeLeastBoreForFlowM(flowM3PerS: number, mostPa: number, airway: Airway): number {
  const rest = sumAirway(airway);
  let low = 0.001;
  let high = 0.2;
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (computeAirPressurePa(flowM3PerS, { ...rest, boreM: middle }) > mostPa) low = middle;
    else high = middle;
  }
  return high;
}

/** One pipe as long and with as many losses as all of them; its bore is still to be found. */
export const sumAirway = (airway: Airway): Omit<AirPipe, "boreM"> => ({
  lengthM: airway.reduce((sum, { lengthM }) => sum + lengthM, 0),
  lossK: airway.reduce((sum, { lossK }) => sum + lossK, 0),
  ...(airway[0]?.air ? { air: airway[0].air } : {}),
});
