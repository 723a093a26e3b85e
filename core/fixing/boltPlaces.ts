import type { Fixing, Tank } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";
import type { BoltPlace } from "./boltGroup";

/** Bolts stand out from the tank's ends by this, or in from them where it lies on a floor, mm [T]. */
const LIP_MM = 25;

/**
 * Where the bolts of a tank sit, from its own corner, mm: as they were placed, or in two rows along its ends, evenly over
 * its width, the front one with the odd one [T].
 */
export function listBoltPlaces(tank: Pick<Tank, "solid">, fixing: Pick<Fixing, "bolts" | "placesMm">): BoltPlace[] {
  if (fixing.placesMm) return [...fixing.placesMm];
  const { min, max } = measureExtent(tank.solid);
  const rear = Math.floor(fixing.bolts / 2);
  const row = (count: number, x: number): BoltPlace[] =>
    Array.from({ length: count }, (_, i) => ({
      x,
      y: count === 1 ? (min.y + max.y) / 2 : min.y + ((max.y - min.y) * i) / (count - 1),
    }));
  return [...row(rear, min.x - LIP_MM), ...row(fixing.bolts - rear, max.x + LIP_MM)];
}
