import { type Attitude, computeUp } from "../attitude/attitude";
import type { Tank } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";
import { computeDips } from "../tanks/dipChart";
import { listSenderMarks } from "../tanks/senderMarks";

/** What is read of a tank, besides litres: how deep a stick is wet in its middle, mm, or the mark its gauge shows. */
export type TankReading =
  | { readonly as: "dip"; readonly depthMm: number }
  | { readonly as: "mark"; readonly index: number };

/**
 * Litres, L, that a reading stands for as the rig stands; null for a depth outside of the tank or a mark its gauge does not
 * have. Exact from the tank's form [C]; a gauge with steps shows the last that is wet, so there is at least so much.
 */
export function computeReadL(tank: Tank, attitude: Attitude, reading: TankReading): number | null {
  if (reading.as === "mark") {
    return tank.sender ? (listSenderMarks(tank, tank.sender, attitude)[reading.index]?.hereL ?? null) : null;
  }
  const { min, max } = measureExtent(tank.solid);
  if (!(reading.depthMm >= 0) || reading.depthMm > max.z - min.z) return null;
  const place = { xMm: (min.x + max.x) / 2, yMm: (min.y + max.y) / 2 };
  return computeDips(tank, computeUp(attitude), place, [min.z + reading.depthMm])[0]!.litres;
}
