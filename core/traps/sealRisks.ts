import type { Trap } from "../design/plumbing";
import type { Vec3 } from "../geometry/vec";

/** What use takes from a water seal besides pressure: driving, and standing unused. */
export type SealRisks = {
  /** Lost over the weir when the rig brakes or corners, mm, and what is left. */
  readonly drivingLossMm: number;
  readonly afterDrivingMm: number;
  /** Weeks unused until the seal is gone. */
  readonly dryWeeks: number;
};

/**
 * Seal, mm, pushed over the weir of a U-trap whose legs stand `spanMm` apart, by a push of `pushG` times gravity toward
 * the outlet: s a / (2 g), never more than there is. Source: hydrostatics of a tilted level [C].
 * Example: 80 mm, 0.5 g → 20.0 mm.
 */
export function computeDrivingLossMm(spanMm: number, pushG: number, sealMm = Infinity): number {
  return Math.min(sealMm, Math.max(0, (spanMm * pushG) / 2));
}

/**
 * Weeks until a seal is gone when it falls by `evaporationMm` > 0 a week: H / e. The house figure is the fall of the seal
 * itself and is not halved again. Source: a balance [C on T]. Example: 50 mm at 2.5 mm a week → 20 weeks, 25 mm in 10.
 */
export const computeDryWeeks = (sealMm: number, evaporationMm: number): number => sealMm / evaporationMm;

/** Which push reaches a U-trap: its legs stand one behind the other, or side by side across the rig. */
export type TrapLie = "along" | "across";

/** How a trap lies, by the way from the outlet to its weir in plan, mm; along where it is neither more than the other [C]. */
export const findTrapLie = (fromMm: Vec3, weirMm: Vec3): TrapLie =>
  Math.abs(weirMm.y - fromMm.y) > Math.abs(weirMm.x - fromMm.x) ? "across" : "along";

/** Both for one trap; null where no water stands in it. */
export function computeSealRisks(trap: Trap | null, pushG: number, evaporationMm: number): SealRisks | null {
  if (!trap || trap.sealMm === 0) return null;
  const drivingLossMm = computeDrivingLossMm(trap.spanMm, pushG, trap.sealMm);
  return {
    drivingLossMm,
    afterDrivingMm: trap.sealMm - drivingLossMm,
    dryWeeks: computeDryWeeks(trap.sealMm, evaporationMm),
  };
}
