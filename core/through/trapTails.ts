import type { Design, Surroundings } from "../design/design";
import { leavesOverMm, measureFloorMm } from "../design/floor";
import { findTrap } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import type { DrainResult } from "../evaluate/evaluation";
import type { Vec3 } from "../geometry/vec";
import { findTrapBottomMm } from "../traps/trapRoom";

/** A trap that hangs under the floor: its tailpiece goes straight down through it, at its outlet. */
export type TrapTail = { readonly drain: Drain; readonly outletMm: Vec3 };

/** Whether a trap hangs under the floor whole, its outlet over it. Source: geometry [C]. */
export function isHung(
  design: Pick<Surroundings, "rig">,
  drain: Drain,
  { outletMm, nodesMm }: Pick<DrainResult, "outletMm" | "nodesMm">,
): boolean {
  const trap = findTrap(drain);
  const weir = nodesMm[0];
  if (!trap || !weir) return false;
  const undersideMm = -measureFloorMm(design);
  return (
    outletMm.z > undersideMm &&
    findTrapBottomMm(weir.z, trap, drain.pipe) < 0 &&
    !leavesOverMm(weir.z, drain.pipe, undersideMm)
  );
}

/** The tailpieces that go through the floor, in the order of the drains. */
export const listTrapTails = (design: Design, drains: readonly DrainResult[]): TrapTail[] =>
  drains.flatMap((result): TrapTail[] => {
    const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === result.lineId);
    return drain && isHung(design, drain, result) ? [{ drain, outletMm: result.outletMm }] : [];
  });
