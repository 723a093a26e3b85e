import type { Design } from "@/core/design/design";
import type { Drain } from "@/core/design/plumbing";
import type { WorkbenchState } from "@/store/state";

/** Findings that have a spot: they are marked in the drawings. */
export const HITS: ReadonlySet<string> = new Set(["legHitsObstacle", "tankHitsObstacle"]);

/** The drain the long section shows: the one chosen, else the first; null in a design without one. */
export function findShownDrain(design: Design, drainId: string | null): Drain | null {
  const drains = design.lines.filter((line): line is Drain => line.kind === "drain");
  return drains.find((drain) => drain.id === drainId) ?? drains[0] ?? null;
}

/** The result that belongs to the drain shown. */
export function findShownResult(state: WorkbenchState) {
  const design = state.history?.design;
  const drain = design ? findShownDrain(design, state.drainId) : null;
  return state.evaluation?.drains.find((result) => result.lineId === drain?.id) ?? null;
}
