import { computeHoursToFreezing } from "../frost/freezing";
import type { Night } from "../frost/night";
import { computePipeLoss } from "../frost/pipeLoss";
import { MM3_PER_L } from "../quantity/convert";
import { computeSealAfterMm, computeSealBreakPa } from "./sealPressure";
import type { SealRisks } from "./sealRisks";

/** What each cause on the drain's own side leaves of a seal, mm; hours and weeks where it is time that takes it. */
export type TrapRisks = SealRisks & {
  /** After the pipe behind it has run full, mm. */
  readonly afterSiphonMm: number;
  /** Hours on a cold night until its water is at 0 °C; null for a trap inside, where it is as warm as the room, and where the night does not freeze. */
  readonly frostHours: number | null;
};

/** What the tank's air does to one trap, while the tank is dumped and while all its fixtures run. */
export type TrapAir = {
  readonly lineId: string;
  /** The bend a trap in the line sits at; null for the one under the fixture. */
  readonly bend: number | null;
  readonly sealMm: number;
  readonly suctionPa: number;
  /** What sucks hardest: a tank that is let go, or a station that pumps one out. */
  readonly suctionBy: "dump" | "pumpOut";
  /** It is another tank's, through a breather they share. */
  readonly isShared: boolean;
  readonly pressurePa: number;
  /** Other tanks fill meanwhile through a breather they share. */
  readonly isPressureShared: boolean;
  readonly afterSuctionMm: number;
  readonly afterPressureMm: number;
  /** After the worst that comes together: driven to the dump, parked askew, a week dry, the valve opened; below 0 gas comes in. */
  readonly togetherMm: number;
};

/** A trap is without use for so long between one stop and the next, weeks [T]. */
const DRY_WEEKS = 1;

/**
 * Seal, mm, that is left after all that can come together: what the worst standing leaves of it, less what was pushed out on
 * the way there, less
 * a week's drying, less half the suction's column. Below 0 where it is broken through.
 * Lengths in mm ≥ 0, suction in Pa ≥ 0. Source: the parts add up [C on T: a week].
 */
export const computeTogetherMm = (
  parkedMm: number,
  evaporationMm: number,
  suctionPa: number,
  drivingLossMm = 0,
): number => parkedMm - drivingLossMm - DRY_WEEKS * evaporationMm - suctionPa / computeSealBreakPa(1) / 2;

/**
 * Seal, mm, after the pipe behind it has run full from the weir to the next air, H, mm ≥ 0. The column that hangs there,
 * its fall less the bore, sucks by its own height; air comes in as soon as the pipe has gone down by its bore
 * [C; that it runs full is the worst that can be]. Example: 50 mm, fall 60 mm in a bore of 36 mm → 38 mm.
 */
export function computeSealAfterSiphonMm(sealMm: number, armFallMm: number, boreMm: number): number {
  return computeSealAfterMm(sealMm, computeSealBreakPa(Math.max(0, armFallMm - boreMm)));
}

/**
 * Seal, mm, that stands while a pressure, Pa ≥ 0, pushes from the tank: legs of equal width, H − p/(2 ρ g). It is blown
 * out at twice the pressure that breaks it by suction [C]. Example: 50 mm at 300 Pa → 34.68 mm.
 */
export function computeSealUnderMm(sealMm: number, pressurePa: number): number {
  const lossMm = (pressurePa / computeSealBreakPa(1)) * 0.5;
  return Math.max(0, sealMm - lossMm);
}

/** What a trap is made of, and the foam round it. */
type TrapPipe = {
  readonly innerMm: number;
  readonly outerMm: number;
  readonly insulationMm?: number | undefined;
};

/**
 * Hours until the water of a trap under the floor is at 0 °C: the bore full over twice the seal and the span, in the wind of
 * the night, lagged with foam of `insulationMm` ≥ 0; null where the air does not freeze. Bore and outside > 0 mm.
 * Source: `computeHoursToFreezing`, `computePipeLoss` [C on T].
 */
export function computeTrapFrostHours(
  { sealMm, spanMm }: { readonly sealMm: number; readonly spanMm: number },
  { innerMm, outerMm, insulationMm = 0 }: TrapPipe,
  night: Night,
): number | null {
  const lengthMm = 2 * sealMm + spanMm;
  const massKg = ((Math.PI / 4) * innerMm ** 2 * lengthMm) / MM3_PER_L;
  const lossWPerK = (computePipeLoss(outerMm, insulationMm, night) * lengthMm) / 1000;
  return computeHoursToFreezing({ ...night, massKg, lossWPerK });
}
