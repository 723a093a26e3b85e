import type { PackId } from "@/core/rules/packIds";

/** How far a pack of rules reaches here: what a rig is held to, and what nobody has looked at. */
export const PACK_REACH: Readonly<Record<PackId, { readonly held: string; readonly left: string }>> = {
  builders: {
    held: "What builders go by, and physics where it says more.",
    left: "Any country's code.",
  },
  usModelCode: {
    held: "Fall, trap to vent, the vent's place, fixture units on each pipe, suction at the traps.",
    left: "Sizes of vents, fittings and materials, inspection.",
  },
  usManufacturedHomes: {
    held: "Fall of 1/4 in/ft everywhere, trap to vent, the vent's place, suction at the traps.",
    left: "The flatter 1/8 in/ft that a full-size cleanout allows, fixture units, sizes of vents, inspection.",
  },
  england: {
    held: "Fall of 18 to 90 mm/m, depth of seals, length of each branch; with 32 mm by its slope.",
    left: "Sizes where branches meet, fittings and materials. A 32 mm branch is held to the steepest slope the rig stands at.",
  },
  germany: {
    held: "Fall, and for a branch without a vent 4 m, three bends and 1 m down.",
    left: "Sizes by what is joined, fittings and materials.",
  },
  australiaNewZealand: {
    held: "Fall by size. Trap to vent by the pipe's own fall, not by their table.",
    left: "Fixture units, sizes of vents, fittings and materials.",
  },
};
export const PACK_NAMES: Readonly<Record<PackId, string>> = {
  builders: "Builders' practice",
  usModelCode: "US model code",
  usManufacturedHomes: "US manufactured homes",
  england: "England",
  germany: "Germany",
  australiaNewZealand: "Australia and New Zealand",
};
