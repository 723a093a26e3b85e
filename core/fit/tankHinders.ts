import type { Design } from "../design/design";
import type { Hull, Obstacle } from "../design/rig";
import { hindersTanks } from "./roles";

type ListSkin = (hull: Hull) => readonly Obstacle[];

let listSkin: ListSkin | null = null;

/** Puts in place what works out a hull's skin: it comes with all that only some rigs have (`core/evaluate/fitted`). */
export const fitSkin = (list: ListSkin): void => {
  listSkin = list;
};

/** Whether a thing in the way is a piece of her skin and nothing that was measured by itself. */
export const isOfSkin = ({ kind, id }: Pick<Obstacle, "kind" | "id">): boolean =>
  kind === "hull" && /^hull-(left|right)-\d+-\d+$/.test(id);

const known = new WeakMap<Hull, readonly Obstacle[]>();

/** Everything on the rig that a tank must keep clear of: solids, panels, and on a boat her skin by its sections. */
export function listTankHinders({ obstacles, rig }: Pick<Design, "obstacles" | "rig">): readonly Obstacle[] {
  const others = obstacles.filter(({ kind }) => hindersTanks(kind));
  if (!rig.hull) return others;
  let blocks = known.get(rig.hull);
  if (!blocks) {
    if (!listSkin) throw new Error("What works out a hull's skin is not loaded (core/evaluate/fitted).");
    blocks = listSkin(rig.hull);
    known.set(rig.hull, blocks);
  }
  return [...others, ...blocks];
}
