import type { Fitting, InlinePiece, PipeJoint, TrapKind } from "@/core/design/plumbing";

export const TRAP_NAMES: Readonly<Record<TrapKind | "none", { readonly name: string; readonly plain: string }>> = {
  pTrap: { name: "P-trap", plain: "A bend that keeps water. Cheap; dries out, slops and freezes." },
  bottle: { name: "Bottle trap", plain: "A cup with water in it. Short, but fouls sooner." },
  running: { name: "Low running trap", plain: "A flat bend in the run. Takes little height." },
  membrane: { name: "Membrane valve", plain: "No water at all. Rinse it; a hair keeps it open." },
  none: { name: "No trap", plain: "Gas from the tank comes up into the living space." },
};

export const FITTING_NAMES: Readonly<Record<Fitting, { readonly name: string; readonly plain: string }>> = {
  wye: { name: "Wye", plain: "Comes in at a slant, the way the water runs. Right for pipes that lie." },
  tee: { name: "Tee", plain: "Comes in square. Right for an upright pipe only." },
};

/** What may sit in a drain, with what is and what is not reckoned of it. */
export const INLINE_NAMES: Readonly<Record<InlinePiece, { readonly name: string; readonly plain: string }>> = {
  cleanout: { name: "Cleanout", plain: "An opening with a lid to rod it clear. Keep a hand's room before it." },
  shutOff: {
    name: "Shut-off valve",
    plain:
      "Shut by hand for the road or for work. Every sum is with it open; shut, whatever is let go stands before it.",
  },
  nonReturn: {
    name: "Non-return flap",
    plain: "Meant to keep the tank's water back. Dirt holds it open, so no sum counts on it.",
  },
};

export const JOINT_NAMES: Readonly<Record<PipeJoint, string>> = {
  union: "union",
  reducer: "reducer",
  hoseBarb: "hose barb",
};
