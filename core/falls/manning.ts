import { measureFillAngle, measureSegmentArea } from "../geometry/circularSegment";

/** A round pipe part full: SI units throughout. */
export type PartFullFlow = { readonly velocityMps: number; readonly flowM3PerS: number };

/**
 * Manning flow in a round pipe wetted to a share y/D: V = R^(2/3) S^(1/2) / n, Q = V A.
 * D (0, 0.2] m; S ≥ 0 m/m, 0 flow for S ≤ 0; n (0, 0.05] s/m^(1/3); y/D [0, 1].
 * Source: Manning's formula, round section by the fill angle [P: Chow 1959, from memory, 95 %; C].
 * Example: D 0.040, n 0.009, S 0.02, full → 0.7294 m/s, 0.9165 L/s.
 */
export function computeManningFlow(diameterM: number, fillRatio: number, slope: number, n: number): PartFullFlow {
  const velocityMps = computeVelocityMps(diameterM, fillRatio, slope, n);
  return { velocityMps, flowM3PerS: velocityMps * measureSegmentArea(diameterM, fillRatio * diameterM) };
}

function computeVelocityMps(diameterM: number, fillRatio: number, slope: number, n: number): number {
  const theta = measureFillAngle(1, fillRatio);
  if (slope <= 0 || theta <= 0) return 0;
  const hydraulicRadiusM = (diameterM / 4) * (1 - Math.sin(theta) / theta);
  return (hydraulicRadiusM ** (2 / 3) * Math.sqrt(slope)) / n;
}

// The flow alone, for what asks it forty times over.
const computeFlowM3PerS = (diameterM: number, fillRatio: number, slope: number, n: number): number =>
  computeVelocityMps(diameterM, fillRatio, slope, n) * measureSegmentArea(diameterM, fillRatio * diameterM);

/** Flow is greatest at this share of the depth, not full: 1.076 × full [P: Chow 1959, 95 %; C]. */
export const FILL_AT_MOST_FLOW = 0.938;

/**
 * Share y/D, [0, 0.938], at which a pipe carries `flowM3PerS`; null when it cannot carry it at any depth.
 * Halving on the rising part of the curve [C].
 */
export function computeFillRatio(diameterM: number, flowM3PerS: number, slope: number, n: number): number | null {
  if (flowM3PerS <= 0) return 0;
  if (computeFlowM3PerS(diameterM, FILL_AT_MOST_FLOW, slope, n) < flowM3PerS) return null;
  let low = 0;
  let high = FILL_AT_MOST_FLOW;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (computeFlowM3PerS(diameterM, middle, slope, n) < flowM3PerS) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
