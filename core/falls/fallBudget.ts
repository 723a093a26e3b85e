import { dot, subtract, type Vec3 } from "../geometry/vec";
import { MM_PER_M } from "../quantity/convert";
import type { DrainPath, Leg } from "./drainPath";

export type LegFall = {
  /** True fall over the leg at the attitude, mm; negative runs backwards. */
  readonly fallMm: number;
  /** Fall the limit asks of it, mm; 0 for a drop. */
  readonly neededMm: number;
  readonly inHandMm: number;
};

/** How the height between the fixture's outlet and the tank's inlet is spent; mm of true height at one attitude. */
export type FallBudget = {
  readonly availableMm: number;
  readonly trapMm: number;
  readonly dropsMm: number;
  readonly neededMm: number;
  /** available − trap − drops − needed: what is left if it were shared out over the runs. */
  readonly leftMm: number;
  readonly legs: readonly LegFall[];
  /** Index of the run with the least in hand; −1 when the drain is one drop. */
  readonly weakestLeg: number;
  /** The fall in hand: what the drain can lose as it is laid, so never more than its weakest run has. */
  readonly inHandMm: number;
};

/** True fall over a leg, mm: u·(from − to). On level ground the difference of the inverts [C]. */
export const measureLegFallMm = ({ from, to }: Leg, up: Vec3): number =>
  up.x * (from.x - to.x) + up.y * (from.y - to.y) + up.z * (from.z - to.z);

/** Length of a leg seen from above while the rig stands at the attitude, mm. */
export function measureLevelLengthMm(leg: Leg, fallMm: number): number {
  return Math.sqrt(Math.max(0, leg.lengthMm ** 2 - fallMm ** 2));
}

/**
 * The fall in hand alone, mm, for the least slope of each leg in turn, mm/m: what `computeFallBudget` says of it, without
 * the rest. It is asked of every drain at every standing, so it makes nothing.
 */
export function computeFallInHandMm(path: DrainPath, up: Vec3, leastMmPerM: readonly number[]): number {
  let dropsMm = 0;
  let leftMm = 0;
  let leastMm = Infinity;
  for (let i = 0; i < path.legs.length; i++) {
    const leg = path.legs[i]!;
    const fallMm = measureLegFallMm(leg, up);
    if (leg.kind === "drop") dropsMm += fallMm;
    else {
      const inHandMm = fallMm - (measureLevelLengthMm(leg, fallMm) * leastMmPerM[i]!) / MM_PER_M;
      leftMm += inHandMm;
      leastMm = Math.min(leastMm, inHandMm);
    }
  }
  return leastMm === Infinity ? dropsMm : Math.min(leftMm, leastMm);
}

/**
 * Fall budget of a drain down to its tank, mm, for an up direction and the least slope of each leg, mm/m, in [0, 1000).
 * available = trap + drops + needed + left, at every attitude. Source: the sum every drain layer does; physics [C].
 * Example: outlet 500 mm over the inlet, trap 90, drop 300, 2 m at 20 mm/m → 70 mm left.
 */
export function computeFallBudget(path: DrainPath, up: Vec3, toLeastMmPerM: (leg: Leg) => number): FallBudget {
  const legs = path.legs.map((leg): LegFall => {
    const fallMm = measureLegFallMm(leg, up);
    const neededMm = leg.kind === "drop" ? 0 : (measureLevelLengthMm(leg, fallMm) * toLeastMmPerM(leg)) / MM_PER_M;
    return { fallMm, neededMm, inHandMm: fallMm - neededMm };
  });
  let dropsMm = 0;
  let neededMm = 0;
  let leftMm = 0;
  let weakestLeg = -1;
  legs.forEach((leg, i) => {
    if (path.legs[i]!.kind === "drop") {
      dropsMm += leg.fallMm;
      return;
    }
    neededMm += leg.neededMm;
    leftMm += leg.inHandMm;
    if (weakestLeg < 0 || leg.inHandMm < legs[weakestLeg]!.inHandMm) weakestLeg = i;
  });
  const inlet = path.nodesMm[path.nodesMm.length - 1]!;
  return {
    availableMm: dot(up, subtract(path.outletMm, inlet)),
    trapMm: dot(up, subtract(path.outletMm, path.nodesMm[0]!)),
    dropsMm,
    neededMm,
    leftMm,
    legs,
    weakestLeg,
    inHandMm: weakestLeg < 0 ? dropsMm : Math.min(leftMm, legs[weakestLeg]!.inHandMm),
  };
}
