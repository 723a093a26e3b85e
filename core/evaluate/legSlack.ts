import { computeUp, LEVEL } from "../attitude/attitude";
import type { DrainPath, Leg } from "../falls/drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "../falls/fallBudget";
import type { Vec3 } from "../geometry/vec";
import { MM_PER_M } from "../quantity/convert";
import type { Standing } from "./parkedAttitudes";

/** Height one leg can lose before it fails a limit, mm measured on the rig; negative is what it lacks. */
export type LegSlack = {
  readonly levelMm: number;
  readonly parkedMm: number;
  readonly parkedAt: Standing;
  readonly leastMm: number;
};

/** Slack of every leg of the drain's own against the least fall standing level and against the parked fall over all standings [C]. */
export function measureLegSlacks(
  path: DrainPath,
  parked: readonly Standing[],
  toLeastMmPerM: (leg: Leg) => number,
  parkedMmPerM: number,
): LegSlack[] {
  const upright = computeUp(LEVEL);
  return path.ownLegs.map((leg) => {
    const levelMm = measureSlackMm(leg, upright, toLeastMmPerM(leg));
    let parkedMm = Infinity;
    let parkedAt = parked[0]!;
    for (const standing of parked) {
      const slack = measureSlackMm(leg, standing.up, parkedMmPerM);
      if (slack < parkedMm) {
        parkedMm = slack;
        parkedAt = standing;
      }
    }
    return { levelMm, parkedMm, parkedAt, leastMm: Math.min(levelMm, parkedMm) };
  });
}

// Divided by the up direction's z, so that it counts millimetres on the rig and not of true height.
function measureSlackMm(leg: Leg, up: Vec3, leastMmPerM: number): number {
  const fallMm = measureLegFallMm(leg, up);
  const neededMm = leg.kind === "drop" ? 0 : (measureLevelLengthMm(leg, fallMm) * leastMmPerM) / MM_PER_M;
  return (fallMm - neededMm) / up.z;
}
