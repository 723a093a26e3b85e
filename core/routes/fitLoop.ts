import type { Design } from "../design/design";
import { tryChain } from "../edits/editChain";
import { buildLoop, type LoopPlan, type LoopSchool } from "../edits/loopEdits";
import { layDrainClear } from "./cleanWay";
import { fitBest, type OnStep } from "./fitBest";

export type WantedLoop = {
  readonly fixtureId: string;
  readonly school: LoopSchool;
  readonly cabinetId: string | null;
};

/** The plan that makes a shower use its water again, with what its own remedies settle by laying it otherwise done as well. */
export function planLoop(
  design: Design,
  { fixtureId, school, cabinetId }: WantedLoop,
  onStep?: OnStep,
): LoopPlan | null {
  const plan = tryChain(() => buildLoop(design, fixtureId, school, cabinetId));
  const edit = plan && fitBest(design, [plan.edit], onStep);
  return plan && { ...plan, edit: layDrainClear(design, edit ?? plan.edit, fixtureId) };
}
