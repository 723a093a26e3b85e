import type { Tank } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";
import { type Vec3, vec } from "../geometry/vec";
import { DRILL_MM, measureReachMm } from "./boltHits";
import { listBoltPlaces } from "./boltPlaces";

/**
 * The ends of its bolts, as far as a drill comes through under its foot, mm, each with the reach of its washer: what a boat's skin
 * must not be in. [C on T]
 */
export function listBoltEnds(tank: Tank): readonly { readonly atMm: Vec3; readonly reachMm: number }[] {
  const { fixing, atMm, solid, wallMm, insulationMm } = tank;
  if (!fixing) return [];
  const footMm = atMm.z + measureExtent(solid).min.z - wallMm - insulationMm;
  const reachMm = measureReachMm(fixing);
  return listBoltPlaces(tank, fixing).map(({ x, y }) => ({
    atMm: vec(atMm.x + x, atMm.y + y, footMm - DRILL_MM),
    reachMm,
  }));
}
