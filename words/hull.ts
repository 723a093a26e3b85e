import type { HullMaterial } from "@/core/design/rig";
import type { Hydrostatics } from "@/core/hull/hydrostatics";
import { formatLength, formatQuantity, type Units } from "./units";

export const HULL_NAMES: Readonly<Record<HullMaterial, string>> = {
  steel: "Steel",
  aluminium: "Aluminium",
  laminate: "Solid laminate",
  cored: "Laminate with a core",
  wood: "Wood",
};

/** How she floats by her sections, in one line. */
export function describeAfloat(afloat: Hydrostatics | null, gmMm: number | null, units: Units): string {
  if (!afloat) return "The waterline does not cut her: no weight can be worked out.";
  const gm = gmMm === null ? "" : ` You gave a GM of ${formatLength(gmMm, units)}.`;
  return `At her waterline she displaces ${formatQuantity(afloat.displacementKg, "weight", units)} of sea water; ${formatQuantity(afloat.kgPerCm, "weight", units)} put her a centimetre deeper. BM ${formatLength(afloat.bmMm, units)}.${gm}`;
}
