import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { findPlaceMm, type Movable } from "../design/moves";
import { joinEdits } from "./groupEdits";

export const ALIGN_AXES = ["x", "y", "z"] as const;
export type AlignAxis = (typeof ALIGN_AXES)[number];

/** Edit that brings several parts to the same place along one axis as the first of them; null where there is nothing to move. */
export function buildAlign(design: Design, parts: readonly Movable[], axis: AlignAxis): Edit | null {
  const first = parts[0] && findPlaceMm(design, parts[0]);
  if (!first) return null;
  return joinEdits(design, parts.slice(1), "align", (_part, place) => ({ ...place, [axis]: first[axis] }));
}
