import { computeUp, LEVEL } from "../attitude/attitude";
import { mmToM } from "../quantity/convert";
import type { DrainPath, Leg } from "./drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "./fallBudget";
import { computeFillRatio, computeManningFlow } from "./manning";

/** Whether a drain keeps up with what runs into it, standing level. */
export type DrainFlow = {
  /** Which of the drain's own legs has the least to spare; null when the drain is one drop. */
  readonly legIndex: number | null;
  /** Slope of that run, m/m; null when the drain is one drop. */
  readonly slope: number | null;
  /** All that may run in it at once, L/s. */
  readonly inflowLps: number;
  /** What it carries at the greatest fill allowed, L/s; null when the drain is one drop. */
  readonly capacityLps: number | null;
  /** Share y/D at that inflow; null when the run cannot carry it. */
  readonly fillRatio: number | null;
  readonly velocityMps: number;
  /** The largest flow that can come, a bowl let go: what it is and what the run with the least to spare for it carries. */
  readonly surge: { readonly legIndex: number; readonly surgeLps: number; readonly capacityLps: number } | null;
};

/** Capacity of the run with the least to spare, at a fill limit y/D in (0, 1], by Manning; standing level [C]. */
export function computeDrainFlow(path: DrainPath, fillLimit: number): DrainFlow {
  const up = computeUp(LEVEL);
  const runs = path.ownLegs
    .filter((leg) => leg.kind === "run" && leg.planLengthMm > 0)
    .map((leg) => {
      const fall = measureLegFallMm(leg, up);
      const slope = fall / measureLevelLengthMm(leg, fall);
      const { flowM3PerS } = computeManningFlow(mmToM(leg.pipe.innerMm), fillLimit, slope, leg.pipe.manningN);
      return { leg, slope, capacityLps: flowM3PerS * 1000 };
    });
  if (runs.length === 0) {
    return {
      legIndex: null,
      slope: null,
      inflowLps: path.ownLegs.at(-1)?.inflowLps ?? 0,
      capacityLps: null,
      fillRatio: 0,
      velocityMps: 0,
      surge: null,
    };
  }
  const tightest = runs
    .filter((run) => run.slope > 0)
    .reduce<Run | null>((a, b) => (a && toSpareOf(a) <= toSpareOf(b) ? a : b), null);
  const { leg, slope, capacityLps } = runs.reduce((a, b) => (toSpare(b) < toSpare(a) ? b : a));
  const diameterM = mmToM(leg.pipe.innerMm);
  const fillRatio = computeFillRatio(diameterM, leg.inflowLps / 1000, slope, leg.pipe.manningN);
  return {
    legIndex: leg.index,
    slope,
    inflowLps: leg.inflowLps,
    capacityLps,
    fillRatio,
    velocityMps:
      fillRatio === null ? 0 : computeManningFlow(diameterM, fillRatio, slope, leg.pipe.manningN).velocityMps,
    surge: tightest && {
      legIndex: tightest.leg.index,
      surgeLps: tightest.leg.surgeLps,
      capacityLps: tightest.capacityLps,
    },
  };
}

// The same for the largest flow.
const toSpareOf = ({ leg, capacityLps }: Run): number => capacityLps / leg.surgeLps;

type Run = { readonly leg: Leg; readonly slope: number; readonly capacityLps: number };

// How many times its inflow a run carries; runs that do not fall at all are told apart by how far they rise.
const toSpare = ({ leg, slope, capacityLps }: Run): number => (slope > 0 ? capacityLps / leg.inflowLps : slope);
