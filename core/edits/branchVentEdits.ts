import type { Design } from "../design/design";
import type { BranchVent, Drain } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";

/**
 * Where air helps a trap: two bores behind the weir [P: UPC 1002.2, from memory, 95 %], on the first run, before the pipe
 * has fallen by its bore; mm from the weir, whole. Null where the drain goes down at once and no place helps [C].
 */
export function placeBranchVentMm(design: Design, drain: Drain): number | null {
  const { ownLegs, pipe } = buildDrainPath(design, drain);
  const first = ownLegs.find(({ lengthMm }) => lengthMm > 0);
  if (first?.kind !== "run") return null;
  return Math.round(Math.min(first.lengthMm, 2 * pipe.innerMm));
}

/** Air of a kind on the branch where it helps; where no place helps, right behind the trap. */
export const createBranchVent = (design: Design, drain: Drain, kind: BranchVent["kind"]): BranchVent => ({
  kind,
  fromWeirMm: placeBranchVentMm(design, drain) ?? 0,
});
