import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { findLockable } from "../design/locks";
import { buildMove, findPlaceMm, type Movable } from "../design/moves";
import { add, type Vec3 } from "../geometry/vec";

/** Edit that moves several parts by one shift, mm, as one step; null where none of them has a place. */
export function buildMoveAll(design: Design, parts: readonly Movable[], by: Vec3): Edit | null {
  return joinEdits(design, parts, "move", (_part, place) => add(place, by));
}

/** Edits of several parts as one, each made on what the one before left, so that a tank takes its breather along once. */
export function joinEdits(
  design: Design,
  parts: readonly Movable[],
  code: Edit["code"],
  toPlace: (part: Movable, place: Vec3) => Vec3,
): Edit | null {
  let next = design;
  const edits: Edit[] = [];
  for (const part of parts) {
    const place = findPlaceMm(design, part);
    const edit = place && buildMove(next, part, toPlace(part, place));
    if (!edit) continue;
    const outcome = applyEdit(next, edit);
    // what is locked or would lie under the ground is told when the whole edit is applied
    if (outcome.ok) next = outcome.design;
    edits.push(edit);
  }
  const [first] = edits;
  return first ? { code, at: first.at, ops: edits.flatMap(({ ops }) => ops) } : null;
}

/** Edit that holds a part where it is, or lets it go; null for what has no lock of its own. */
export function buildLock(design: Design, part: Movable, isLocked: boolean): Edit | null {
  const lockable = findLockable(part);
  if (!lockable) return null;
  const entry = (design[lockable.list] as readonly { readonly id: string; readonly locked?: true }[]).find(
    ({ id }) => id === lockable.id,
  );
  if (!entry || (entry.locked ?? false) === isLocked) return null;
  const path = [lockable.list, lockable.id, "locked"];
  return {
    code: isLocked ? "lock" : "unlock",
    at: toWhole(part),
    ops: [isLocked ? { op: "set", path, value: true } : { op: "remove", path }],
  };
}

const toWhole = (part: Movable): Edit["at"] => (part.kind === "passage" ? { kind: "line", id: part.lineId } : part);

/** True while the part, or the line or tank it belongs to, is held where it is. */
export function isLocked(design: Design, part: Movable): boolean {
  const lockable = findLockable(part);
  if (!lockable) return false;
  const list = design[lockable.list] as readonly { readonly id: string; readonly locked?: true }[];
  return list.find(({ id }) => id === lockable.id)?.locked ?? false;
}
