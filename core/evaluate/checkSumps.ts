import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import { placeDrainEnd } from "../gear/gearPorts";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** A float wants so much air over it before the box runs over, mm [T]. */
export const FLOAT_AIR_MM = 20;

/** What can be said against a sump box by its own measures: a float that never rises so high, a float under which nothing fits. */
export const checkSumps = ({ gear }: Design): Finding[] =>
  gear.flatMap((piece): Finding[] => (piece.spec.kind === "sump" ? checkSump(piece as GearOf<"sump">) : []));

function checkSump(piece: GearOf<"sump">): Finding[] {
  const { onMm, litres, areaCm2 } = piece.spec;
  // what drains into it comes through its lid, and it holds no more than its litres stand high over its floor
  const highMm = Math.min(placeDrainEnd(piece).z - piece.atMm.z, (litres * 10_000) / areaCm2);
  if (onMm + FLOAT_AIR_MM <= highMm) return [];
  return [createFinding({ kind: "gear", id: piece.id }, { code: "floatOverRim", onMm, highMm })];
}
