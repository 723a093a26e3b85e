import type { Attitude } from "../attitude/attitude";
import { computeUp } from "../attitude/attitude";
import { findBranchVent } from "../design/lineItems";
import type { DrainPath } from "../falls/drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "../falls/fallBudget";

/** The pipe between a trap and the next air. */
export type TrapArm = {
  /** From the weir to the branch vent, or to the tank where there is none, mm along the pipe. */
  readonly lengthMm: number;
  /** The steepest mean slope of that stretch over the attitudes, m/m; null where it goes straight down. */
  readonly slope: number | null;
  readonly steepestAt: Attitude;
  /** Length over which the pipe falls by its own bore, mm: the vent stays above the weir up to here; null where it never does. */
  readonly boreFallMm: number | null;
};

/**
 * Trap arm of a drain over a set of attitudes. Air must reach the pipe before it has fallen by its own bore:
 * allowed = D / slope, so 5, 6 and 8 ft for 1¼, 1½ and 2 in at 1/4 in/ft
 * [P: IPC table 909.1, from memory, 95 %; C]. A stretch that does not fall has no bound.
 */
export function computeTrapArm(path: DrainPath, attitudes: readonly Attitude[]): TrapArm {
  const ventAtMm = findAirMm(path);
  let slope = -Infinity;
  let steepestAt = attitudes[0]!;
  let lengthMm = 0;
  for (const attitude of attitudes) {
    const up = computeUp(attitude);
    let alongMm = 0;
    let fallMm = 0;
    let levelMm = 0;
    for (const leg of path.legs) {
      if (leg.lengthMm === 0) continue;
      const share = Math.min(1, Math.max(0, (ventAtMm - alongMm) / leg.lengthMm));
      if (share === 0) break;
      const fall = measureLegFallMm(leg, up);
      alongMm += leg.lengthMm * share;
      fallMm += fall * share;
      levelMm += measureLevelLengthMm(leg, fall) * share;
    }
    lengthMm = alongMm;
    const mean = levelMm > 0 ? fallMm / levelMm : fallMm > 0 ? Infinity : 0;
    if (mean > slope) {
      slope = mean;
      steepestAt = attitude;
    }
  }
  const boreFallMm = computeBoreFallMm(path.pipe.innerMm, slope);
  return { lengthMm, slope: Number.isFinite(slope) ? slope : null, steepestAt, boreFallMm };
}

/**
 * How far behind the weir air first comes to the pipe, mm along it: the drain's own vent, or that of a drain it joins;
 * a vent higher up on that drain reaches down to the junction. Infinite where only the tank gives air.
 */
export function findAirMm(path: DrainPath): number {
  let startMm = 0;
  for (const [i, line] of path.chain.entries()) {
    const air = findBranchVent(line);
    if (air) return startMm + Math.max(0, air.fromWeirMm - path.enteredAtMm[i]!);
    startMm += path.legs.reduce((sum, leg) => sum + (leg.lineId === line.id ? leg.lengthMm : 0), 0);
  }
  return Infinity;
}

/** Trap-to-vent length, mm, over which a pipe of bore D falls by D: D / slope; null where it does not fall [C]. */
export function computeBoreFallMm(boreMm: number, slope: number): number | null {
  const lengthMm = boreMm / slope;
  return slope > 0 && Number.isFinite(lengthMm) ? lengthMm : null;
}

/** Fall, mm, of the pipe from a node of the path to the next air, the rig standing level [C]. */
export function measureArmFallMm(path: DrainPath, fromNode = 0): number {
  const airMm = fromNode === 0 ? findAirMm(path) : Infinity;
  let alongMm = 0;
  let fallMm = 0;
  for (const leg of path.legs.slice(fromNode)) {
    // two points at one place: what comes behind them counts all the same
    if (leg.lengthMm === 0) continue;
    const share = Math.min(1, Math.max(0, (airMm - alongMm) / leg.lengthMm));
    if (share === 0) break;
    alongMm += leg.lengthMm * share;
    fallMm += (leg.from.z - leg.to.z) * share;
  }
  return fallMm;
}
