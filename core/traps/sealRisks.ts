import type { RulesChoice } from "../design/design";
import type { Trap } from "../design/plumbing";
import type { Vec3 } from "../geometry/vec";
import { lookUpValue } from "../rules/lookUpLimit";

/** What use takes from a water seal besides pressure: driving, and standing unused. */
export type SealRisks = {
  /** Lost over the weir when the rig brakes or corners, mm, and what is left. */
  readonly drivingLossMm: number;
  readonly afterDrivingMm: number;
  /** The water's own beat in the trap, s, and what is left of the seal where a rough road keeps time with it, mm. */
  readonly beatS: number;
  readonly afterBeatMm: number;
  /** Weeks unused until the seal is gone. */
  readonly dryWeeks: number;
};

/**
 * Seal, mm, pushed over the weir of a U-trap whose legs stand `spanMm` apart, by a push of `pushG` times gravity toward
 * the outlet: s a / (2 g). Once the water leans by the whole seal it breaks through, and nothing is counted on: s a / g ≥ H
 * takes all of it. Source: hydrostatics of a tilted level [C].
 * Example: 80 mm, 0.5 g → 20.0 mm; a seal of 60 mm, legs 60 mm apart, 1 g → all 60 mm.
 */
export function computeDrivingLossMm(spanMm: number, pushG: number, sealMm = Infinity): number {
  const leansMm = Math.max(0, spanMm * pushG);
  return leansMm >= sealMm ? sealMm : leansMm / 2;
}

const GRAVITY = 9.80665;
/** A push that keeps time with the water swings it twice as far as one that stays [T]. */
const IN_STEP = 2;

/**
 * Own beat, s, of the water in a U-trap: 2π √(L/2g), L its column, mm ≥ 0, down one leg and up the other. Source: a column
 * that swings under its own weight [C]. Example: 250 mm → 0.709 s.
 */
export const computeBeatS = (columnMm: number): number => 2 * Math.PI * Math.sqrt(columnMm / 1000 / (2 * GRAVITY));

/**
 * Weeks until a seal is gone when it falls by `evaporationMm` > 0 a week: H / e. The house figure is the fall of the seal
 * itself and is not halved again. Source: a balance [C on T]. Example: 50 mm at 2.5 mm a week → 20 weeks, 25 mm in 10.
 */
export const computeDryWeeks = (sealMm: number, evaporationMm: number): number => sealMm / evaporationMm;

/** Nothing dries in no time at all: a builder's own nought, or less, is read as this, mm a week. */
const LEAST_EVAPORATION_MM = 0.01;

/** What a seal loses to the air, mm a week > 0, by the rules. */
export const readEvaporationMm = (rules: RulesChoice): number =>
  Math.max(lookUpValue(rules, "evaporation"), LEAST_EVAPORATION_MM);

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
    beatS: computeBeatS(2 * trap.sealMm + trap.spanMm),
    afterBeatMm: trap.sealMm - computeDrivingLossMm(trap.spanMm, IN_STEP * pushG, trap.sealMm),
    dryWeeks: computeDryWeeks(trap.sealMm, evaporationMm),
  };
}
