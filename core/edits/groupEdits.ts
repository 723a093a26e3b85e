import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { findLockable } from "../design/locks";
import { buildMove, findPlaceMm, type Movable } from "../design/moves";
import { add, type Vec3 } from "../geometry/vec";

export const ALIGN_AXES = ["x", "y", "z"] as const;
export type AlignAxis = (typeof ALIGN_AXES)[number];

/** Edit that moves several parts by one shift, mm, as one step; null where none of them has a place. */
export function buildMoveAll(design: Design, parts: readonly Movable[], by: Vec3): Edit | null {
  return joinEdits(design, parts, "move", (_part, place) => add(place, by));
}

/** Edit that brings several parts to the same place along one axis as the first of them; null where there is nothing to move. */
export function buildAlign(design: Design, parts: readonly Movable[], axis: AlignAxis): Edit | null {
  const first = parts[0] && findPlaceMm(design, parts[0]);
  if (!first) return null;
  return joinEdits(design, parts.slice(1), "align", (_part, place) => ({ ...place, [axis]: first[axis] }));
}

// One after the other on what the one before made of it, so that a tank takes its breather along once.
function joinEdits(
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

/** The same for several; two bends of one drain share its lock. Null where all are as asked. */
export function buildLockAll(design: Design, parts: readonly Movable[], isLocked: boolean): Edit | null {
  const edits = parts.flatMap((part) => buildLock(design, part, isLocked) ?? []);
  const [first] = edits;
  const seen = new Set<string>();
  const ops = edits
    .flatMap((edit) => edit.ops)
    .filter(({ path }) => !seen.has(path.join()) && seen.add(path.join()) !== null);
  return first ? { ...first, ops } : null;
}

const toWhole = (part: Movable): Edit["at"] => (part.kind === "passage" ? { kind: "line", id: part.lineId } : part);

/** True while the part, or the line or tank it belongs to, is held where it is. */
export function isLocked(design: Design, part: Movable): boolean {
  const lockable = findLockable(part);
  if (!lockable) return false;
  const list = design[lockable.list] as readonly { readonly id: string; readonly locked?: true }[];
  return list.find(({ id }) => id === lockable.id)?.locked ?? false;
}
