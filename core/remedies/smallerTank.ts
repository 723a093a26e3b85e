import type { Edit, EditOp } from "../design/editOps";
import { roundTenth } from "../design/moves";
import type { Tank } from "../design/plumbing";
import { buildResize, buildTakeOffNear } from "../design/resizeTank";
import type { Block } from "../geometry/blocks";
import { add, vec } from "../geometry/vec";
import { listWaysOut } from "./clearRemedies";
import type { Remedy } from "./remedy";

/** A tank is no flatter than this, and no shorter or narrower than that, mm [T]. */
const LEAST_MM = 80;
const LEAST_PLAN_MM = 200;
/** No more of it is taken off than this share. */
const MOST_OFF = 0.4;
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

/** The side that is taken off where the whole tank would have to go the other way. */
const SIDES = { left: "right", right: "left", forward: "aft", aft: "forward" } as const;

export type TankSide = keyof typeof SIDES;

/** A box tank shorter or narrower by what reaches into something, on the side that reaches in; the least taken off first. */
export function proposeShrunk(tank: Tank, own: Block, other: Block, clearMm: number): Remedy[] {
  return listWaysOut(own, other, clearMm).flatMap(({ way, byMm }) =>
    way === "up" || way === "down" ? [] : proposeTakenOff(tank, SIDES[way], byMm),
  );
}

/** So much taken off one side of a box tank; the others stay where they are, and so does what sits on them. */
export function proposeTakenOff(tank: Tank, side: TankSide, byMm: number): Remedy[] {
  const { solid } = tank;
  if (solid.shape !== "box" || byMm <= 0) return [];
  const [axis, key] = side === "left" || side === "right" ? (["y", "widthMm"] as const) : (["x", "lengthMm"] as const);
  const [was, mm] = [solid[key], Math.ceil(byMm)];
  const now = was - mm;
  if (now < LEAST_PLAN_MM || mm > was * MOST_OFF) return [];
  const isFar = side === "left" || side === "forward";
  const edit = isFar ? buildResize(tank, { [key]: now }) : buildTakeOffNear(tank, axis, mm);
  return [{ byMm: mm, way: side, edit }];
}
