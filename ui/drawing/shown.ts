import type { Design } from "@/core/design/design";
import type { Drain, Tank } from "@/core/design/plumbing";
import type { WorkbenchState } from "@/store/state";

/** The drain the long section shows: the one chosen, else the first; null in a design without one. */
export function findShownDrain(design: Design, drainId: string | null): Drain | null {
  const drains = design.lines.filter((line): line is Drain => line.kind === "drain");
  return drains.find((drain) => drain.id === drainId) ?? drains[0] ?? null;
}

/** The fixture whose fields are shown: one picked that has no drain yet, else that of the drain shown, else the first. */
export function findShownFixtureId(design: Design, drainId: string | null, fixtureId: string | null): string | null {
  const isThere = design.fixtures.some(({ id }) => id === fixtureId);
  const hasDrain = design.lines.some((line) => line.kind === "drain" && line.fromFixture === fixtureId);
  if (isThere && !hasDrain) return fixtureId;
  return findShownDrain(design, drainId)?.fromFixture ?? design.fixtures[0]?.id ?? null;
}

/** The result that belongs to the drain shown. */
export function findShownResult(state: WorkbenchState) {
  const design = state.history?.design;
  const drain = design ? findShownDrain(design, state.drainId) : null;
  return state.evaluation?.drains.find((result) => result.lineId === drain?.id) ?? null;
}

/** The tank on the stage: the one chosen, else the one picked in a drawing, else where the drain shown ends, else the first. */
export function findShownTank(state: WorkbenchState): Tank | null {
  const tanks = state.history?.design.tanks ?? [];
  const ends = findShownResult(state)?.tankId;
  return tanks.find(({ id }) => id === state.tankId) ?? tanks.find(({ id }) => id === ends) ?? tanks[0] ?? null;
}
