import type { Edit, EditOp } from "../design/editOps";
import { roundTenth } from "../design/moves";
import type { Tank } from "../design/plumbing";
import { buildResize } from "../design/resizeTank";
import { add, vec } from "../geometry/vec";
import type { Remedy } from "./remedy";

/** A tank is no flatter than this, mm [T]. */
const LEAST_MM = 80;
/** Where it is not known how much is enough, so much is tried, mm. */
const TRIED_MM = [10, 20, 30, 40, 60, 80, 100, 130, 160, 200] as const;

/**
 * A box tank so much flatter, by what it lacks or by as little as helps: its bottom comes up, or its top comes down. What it holds less
 * stands beside it. Ports near its top keep their distance from it.
 */
export function proposeFlatter(tank: Tank, side: "bottom" | "top", byMm?: number): Remedy[] {
  const { solid } = tank;
  if (solid.shape !== "box") return [];
  return (byMm === undefined ? TRIED_MM : [Math.ceil(byMm)]).flatMap((mm): Remedy[] => {
    if (solid.heightMm - mm < LEAST_MM) return [];
    const edit = buildResize(tank, { heightMm: solid.heightMm - mm });
    const value = roundTenth(add(tank.atMm, vec(0, 0, mm)));
    const up: EditOp = { op: "set", path: ["tanks", tank.id, "atMm"], value };
    const resized: Edit = side === "bottom" ? { ...edit, ops: [...edit.ops, up] } : edit;
    return [{ byMm: mm, isByLeast: true, edit: resized }];
  });
}
