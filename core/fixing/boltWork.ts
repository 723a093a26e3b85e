import type { Fixing } from "../design/plumbing";

type BoltSize = Fixing["size"];

/** Hole a bolt goes through, mm: the medium series [P: ISO 273, from memory, 95 %]. */
const THROUGH_MM: Readonly<Record<BoltSize, number>> = { M6: 6.6, M8: 9, M10: 11, M12: 13.5 };

/** Hole a rivet nut of steel is set in, mm, as most makers have it, from memory [T]. */
const RIVET_NUT_MM: Readonly<Record<BoltSize, number>> = { M6: 9, M8: 11, M10: 13, M12: 16 };

/** Torque of a dry bolt of class 8.8 in thick steel, N·m, as common tables have it, from memory [T]. */
const TORQUE_NM: Readonly<Record<BoltSize, number>> = { M6: 10, M8: 25, M10: 49, M12: 86 };

/**
 * What is drilled for one bolt of a fixing, mm; null for screws that cut their own way, whose hole depends on the sheet.
 * Example: M8 through → 9, in a rivet nut → 11.
 */
export function findBoltHoleMm({ fastener, size }: Pick<Fixing, "fastener" | "size">): number | null {
  switch (fastener) {
    case "through":
      return THROUGH_MM[size];
    case "rivetNut":
      return RIVET_NUT_MM[size];
    case "selfTapping":
      return null;
  }
}

/** What such a bolt is tightened to, N·m, where it goes through with a nut; null where nut, sheet or screw bear less than the bolt. */
export const findBoltTorqueNm = ({ fastener, size }: Pick<Fixing, "fastener" | "size">): number | null =>
  fastener === "through" ? TORQUE_NM[size] : null;
