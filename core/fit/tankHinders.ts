import type { Design } from "../design/design";
import type { Hull, Obstacle } from "../design/rig";
import { listHullBlocks } from "../hull/hullBlocks";
import { hindersTanks } from "./roles";

const known = new WeakMap<Hull, readonly Obstacle[]>();

/** Everything on the rig that a tank must keep clear of: solids, panels, and on a boat her skin by its sections. */
export function listTankHinders({ obstacles, rig }: Pick<Design, "obstacles" | "rig">): readonly Obstacle[] {
  const others = obstacles.filter(({ kind }) => hindersTanks(kind));
  if (!rig.hull) return others;
  let blocks = known.get(rig.hull);
  if (!blocks) {
    blocks = listHullBlocks(rig.hull);
    known.set(rig.hull, blocks);
  }
  return [...others, ...blocks];
}
