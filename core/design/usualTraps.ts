import type { Trap, TrapKind } from "./plumbing";

/** A trap of each kind as sold, for a small waste: seal, height and span, mm [T]. */
export const USUAL_TRAPS: Readonly<Record<TrapKind, Trap>> = {
  pTrap: { kind: "pTrap", sealMm: 50, dropMm: 90, spanMm: 80, hasCleanout: true },
  bottle: { kind: "bottle", sealMm: 50, dropMm: 70, spanMm: 40, hasCleanout: true },
  running: { kind: "running", sealMm: 50, dropMm: 60, spanMm: 95, hasCleanout: false },
  membrane: { kind: "membrane", sealMm: 0, dropMm: 40, spanMm: 60, hasCleanout: true },
};
