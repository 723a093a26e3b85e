import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import { roundTenth } from "../design/moves";
import { toNodes } from "../design/nodes";
import type { Hose } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { listHoseCourse } from "../fit/lineLegs";
import { subtract, type Vec3 } from "../geometry/vec";
import { listSquareWays } from "./squareWays";

/** A piece that goes less than this aside is no slant, mm [T]. */
const ASKEW_MM = 60;
/** So many ways of a hose are tried. */
const MOST_TRIED = 8;

/**
 * Ops that lead the new hoses of a design along the rig, across it and upright, as they are clipped to walls and floor: straight
 * through the room they are shorter than what is bought and what rubs at the water. The shortest way that brings nothing
 * to be settled; a hose that has none stays as it is. Source: common practice [T]. Each way costs a whole evaluation.
 */
export function laySquare(design: Design, before: Design): EditOp[] {
  const had = new Set(before.lines.map(({ id }) => id));
  const ops: EditOp[] = [];
  let now = design;
  let known = listTold(now);
  for (const hose of design.lines) {
    if (hose.kind !== "hose" || had.has(hose.id) || !isAskew(listHoseCourse(now, hose))) continue;
    for (const op of listWays(now, hose)) {
      const laid = applyEdit(now, { code: "reroute", at: { kind: "line", id: hose.id }, ops: [op] });
      if (!laid.ok) continue;
      const told = listTold(laid.design);
      if ([...told].some((id) => !known.has(id))) continue;
      ops.push(op);
      now = laid.design;
      known = told;
      break;
    }
  }
  return ops;
}

const listTold = (design: Design): ReadonlySet<string> =>
  new Set(evaluate(design).findings.flatMap(({ id, severity }) => (severity === "note" ? [] : [id])));

/** Whether a piece of a course goes aside in two directions at once. */
export const isAskew = (course: readonly Vec3[]): boolean =>
  course.slice(1).some((to, i) => {
    const { x, y, z } = subtract(to, course[i]!);
    return [x, y, z].filter((mm) => Math.abs(mm) > ASKEW_MM).length > 1;
  });

const AXES = ["x", "y", "z"] as const;

// A step too small for two bends is taken along the first piece.
function listWays(design: Design, hose: Hose): EditOp[] {
  const course = listHoseCourse(design, hose);
  const [from, to] = [course[0]!, course.at(-1)!];
  const small = AXES.filter((axis) => Math.abs(to[axis] - from[axis]) <= ASKEW_MM);
  const carry = (p: Vec3, at: Vec3, onto: Vec3): Vec3 => {
    const moved = { ...p };
    for (const axis of small) if (p[axis] === at[axis]) moved[axis] = onto[axis];
    return moved;
  };
  return listSquareWays(design, hose, from, carry(to, to, from), MOST_TRIED).map((points) => ({
    op: "set",
    path: ["lines", hose.id, "pointsMm"],
    value: toNodes(points.map((p) => roundTenth(carry(p, from, to)))),
  }));
}
