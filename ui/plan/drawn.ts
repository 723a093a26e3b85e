import { lookUpLimit } from "@/core/rules/lookUpLimit";
import type { WorkbenchState } from "@/store/state";
import { findShownDrain } from "../drawing/shown";

/** The fixture whose drain is drawn and the fall it is laid at. */
export type Drawn = { readonly fixtureId: string; readonly fallMmPerM: number };

let last: Drawn | null = null;

/** A fixture without a drain first, else the one that is shown; the fall is what the rules ask for and a tenth over. */
export function findDrawn(state: WorkbenchState): Drawn | null {
  const design = state.history?.design;
  if (!design) return null;
  const shown = findShownDrain(design, state.drainId);
  const isDrained = (id: string) => design.lines.some((line) => line.kind === "drain" && line.fromFixture === id);
  const picked = state.selection?.kind === "fixture" ? state.selection.id : null;
  const bare = design.fixtures.find(({ id }) => !isDrained(id))?.id;
  const fixtureId = picked ?? bare ?? shown?.fromFixture;
  if (!fixtureId) return null;
  const boreMm = shown?.pipe.innerMm ?? 36.4;
  const fallMmPerM =
    state.drawFallMmPerM ?? Math.ceil((lookUpLimit(design.rules, "minFall", { boreMm }).value ?? 20) * 1.1);
  if (last?.fixtureId !== fixtureId || last.fallMmPerM !== fallMmPerM) last = { fixtureId, fallMmPerM };
  return last;
}
