import type { Design } from "@/core/design/design";
import type { History } from "./history";
import type { SaveState, WorkbenchState } from "./state";

/** The design as it was last committed: while something is pulled, the one before the pull. */
export const findCommitted = ({ history, dragBase }: Pick<WorkbenchState, "history" | "dragBase">): Design | null =>
  dragBase ?? history?.design ?? null;

/** The same with its way back and forward. */
export function findCommittedHistory({
  history,
  dragBase,
}: Pick<WorkbenchState, "history" | "dragBase">): History | null {
  return history && dragBase ? { ...history, design: dragBase } : history;
}

/** States in which work would be lost with the page. */
const UNKEPT: ReadonlySet<SaveState> = new Set(["full", "failed", "conflict", "deleted", "away"]);

export const isUnkept = (save: SaveState): boolean => UNKEPT.has(save);
