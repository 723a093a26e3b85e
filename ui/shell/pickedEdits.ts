import type { Design } from "@/core/design/design";
import { buildLock, isLocked } from "@/core/edits/groupEdits";
import { change, view as look, workbench } from "@/store/workbench";

/** Locks what is picked where it is, or unlocks it. */
export function lockPicked(): void {
  const { selection, history } = workbench.getState();
  const design = history?.design;
  const edit = design && selection && buildLock(design, selection, !isLocked(design, selection));
  if (edit) change(edit);
}

/** Takes the picked bend out. */
export function removeBendPicked(): void {
  const { selection, history } = workbench.getState();
  if (selection?.kind !== "bend" || !history) return;
  const key = findPointList(history.design, selection.lineId);
  if (!key) return;
  const outcome = change({
    code: "removeBend",
    at: { kind: "line", id: selection.lineId },
    ops: [{ op: "remove", path: ["lines", selection.lineId, key, selection.index] }],
  });
  if (outcome.ok) look({ selection: null });
}

// A breather keeps its open end; a drain may lose all its bends.
function findPointList(design: Design, lineId: string): "bendsMm" | "pointsMm" | null {
  const line = design.lines.find((l) => l.id === lineId);
  if (line?.kind === "drain") return "bendsMm";
  return line && line.pointsMm.length > 1 ? "pointsMm" : null;
}
