import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import type { Movable } from "../design/moves";
import { buildLock } from "./groupEdits";

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
