import { GRAVITY } from "../air/dumping";
import type { Fixture } from "../design/plumbing";
import { mmToM } from "../quantity/convert";

/** Losses of waste, grid, trap and its exit, in velocity heads [T]. */
const WASTE_LOSSES = 3;

/**
 * Water, L/s, that a waste lets out under a head, mm ≥ 0: a √(2 g h/(1 + ΣK)). Bore > 0 mm, the narrower of waste and
 * pipe. Source: Torricelli with losses [C on T: ΣK 3].
 */
export const computeWasteLps = (boreMm: number, headMm: number): number =>
  (Math.PI / 4) *
  mmToM(boreMm) ** 2 *
  Math.sqrt((2 * GRAVITY * mmToM(Math.max(0, headMm))) / (1 + WASTE_LOSSES)) *
  1000;

/**
 * The largest flow, L/s, a fixture can send into its drain: with a plug the bowl full to its rim let go at once, through
 * the trap's drop as well; without one what its tap or pump gives. Source: `computeWasteLps` [C].
 */
export function computeReleaseLps(
  { boreMm, rimMm, hasPlug, inflowLps }: Fixture,
  { pipeMm, dropMm }: { readonly pipeMm: number; readonly dropMm: number },
): number {
  if (!hasPlug) return inflowLps;
  return Math.max(inflowLps, computeWasteLps(Math.min(boreMm, pipeMm), rimMm + dropMm));
}
