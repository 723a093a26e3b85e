import type { Fastener, FixingKind, HeldWater, Material, SenderKind, Thread } from "@/core/design/plumbing";
import type { CrashClass } from "@/core/design/rig";
import type { TankShape } from "@/core/edits/tankEdits";

/** Pipe threads, by the names they are bought under. */
export const THREAD_NAMES: Readonly<Record<Thread | "none", string>> = {
  none: "Plain, no thread",
  g12: "G ½ parallel",
  g34: "G ¾ parallel",
  g1: "G 1 parallel",
  g114: "G 1¼ parallel",
  g112: "G 1½ parallel",
  g2: "G 2 parallel",
  npt12: "½ NPT tapered",
  npt34: "¾ NPT tapered",
  npt1: "1 NPT tapered",
  npt114: "1¼ NPT tapered",
  npt112: "1½ NPT tapered",
  npt2: "2 NPT tapered",
};

export const SHAPE_NAMES: Readonly<Record<TankShape, string>> = {
  box: "Box",
  profile: "Profile, by its corners",
  lyingAlong: "Round, lying along",
  lyingAcross: "Round, lying across",
  standing: "Round, standing",
};

export const MATERIAL_NAMES: Readonly<Record<Material, string>> = {
  polyethylene: "Polyethylene",
  stainless: "Stainless steel",
  aluminium: "Aluminium",
  grp: "Glass fibre",
};

export const SENDER_NAMES: Readonly<Record<SenderKind, { readonly name: string; readonly plain: string }>> = {
  probes: { name: "Electrode probes", plain: "Four rods that tell wet from dry. Grease and soap keep them wet." },
  pads: { name: "Pads outside the wall", plain: "Three pads stuck to the wall, at three heights. Nothing to foul." },
  float: { name: "Float on an arm", plain: "Follows the water between its stops; hair and grease stop it." },
  pressure: { name: "Pressure at the bottom", plain: "Feels the water over it. A drop of mud reads as water." },
  fullOnly: { name: "Full only", plain: "One contact near the top: full, or not full." },
};

export const CLASS_NAMES: Readonly<Record<CrashClass, string>> = {
  none: "None counted",
  m1n1: "Van (M1, N1)",
  m2n2: "Small bus, lorry (M2, N2)",
  m3n3: "Bus, heavy lorry (M3, N3)",
};

export const FASTENER_NAMES: Readonly<Record<Fastener, string>> = {
  through: "Through, plate and nut",
  rivetNut: "Rivet nuts",
  selfTapping: "Self-tapping screws",
};

export const FIXING_NAMES: Readonly<Record<FixingKind, { readonly name: string; readonly plain: string }>> = {
  straps: { name: "Straps and J-bolts", plain: "Rubber under each strap, so that nothing chafes." },
  cradle: { name: "Angle-steel cradle", plain: "Foam between tank and steel; the tank must not carry the cradle." },
  tray: { name: "Folded tray", plain: "A tray with a folded rim bears it all over; drill it so that it drains." },
  onFloor: { name: "On the floor inside", plain: "A frame on the floor keeps it from sliding; straps keep it down." },
  brackets: {
    name: "Brackets on the tank",
    plain: "The lugs of a plastic tank seldom bear a crash: ask for their rating.",
  },
};

export const WATER_NAMES: Readonly<Record<HeldWater, string>> = {
  grey: "Grey water",
  black: "Black water",
  fresh: "Fresh water",
  loop: "Loop water, for the shower only",
};
