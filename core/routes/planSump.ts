import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { tryChain } from "../edits/editChain";
import { buildFitSump, type SumpGoal } from "../edits/fitSump";
import { vec } from "../geometry/vec";
import { fitBest, type OnStep } from "./fitBest";

/** Where a sump is tried, from the fixture's outlet, mm. */
const ASIDE = [260, -260, 420, -420, 700, -700].flatMap((mm) => [
  vec(mm, 0, 0),
  vec(0, mm, 0),
  vec(mm, mm / 2, 0),
  vec(mm, -mm / 2, 0),
]);

export type WantedSump = { readonly fixtureId: string; readonly goal: SumpGoal };

/** Edit that leads a fixture into a sump with a pump, where that brings the least to be settled; null where it cannot be. */
export function planSump(design: Design, { fixtureId, goal }: WantedSump, onStep?: OnStep): Edit | null {
  const ways = ASIDE.flatMap((asideMm) =>
    (goal === "tank" ? [false, true] : [false]).map(
      (isOverFloor) => () => tryChain(() => buildFitSump(design, { fixtureId, goal, asideMm, isOverFloor })),
    ),
  );
  return fitBest(design, ways, onStep);
}
