import { computeUp, LEVEL } from "../attitude/attitude";
import { mmToM } from "../quantity/convert";
import type { DrainPath } from "./drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "./fallBudget";
import { computeFillRatio, computeManningFlow } from "./manning";

/** Whether a drain keeps up with its fixture, standing level. */
export type DrainFlow = {
  /** Slope of the flattest run, m/m; null when the drain is one drop. */
  readonly slope: number | null;
  /** What it carries at the greatest fill allowed, L/s; null when the drain is one drop. */
  readonly capacityLps: number | null;
  /** Share y/D at the fixture's inflow; null when the run cannot carry it. */
  readonly fillRatio: number | null;
  readonly velocityMps: number;
};

/** Capacity of the flattest run at a fill limit y/D in (0, 1], by Manning; standing level [C]. */
export function computeDrainFlow(path: DrainPath, fillLimit: number): DrainFlow {
  const up = computeUp(LEVEL);
  const slopes = path.legs
    .filter((leg) => leg.kind === "run" && leg.planLengthMm > 0)
    .map((leg) => {
      const fall = measureLegFallMm(leg, up);
      return fall / measureLevelLengthMm(leg, fall);
    });
  if (slopes.length === 0) return { slope: null, capacityLps: null, fillRatio: 0, velocityMps: 0 };
  const slope = Math.min(...slopes);
  const diameterM = mmToM(path.pipe.innerMm);
  const n = path.pipe.manningN;
  const fillRatio = computeFillRatio(diameterM, path.fixture.inflowLps / 1000, slope, n);
  return {
    slope,
    capacityLps: computeManningFlow(diameterM, fillLimit, slope, n).flowM3PerS * 1000,
    fillRatio,
    velocityMps: fillRatio === null ? 0 : computeManningFlow(diameterM, fillRatio, slope, n).velocityMps,
  };
}
