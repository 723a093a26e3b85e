import { applyEdit } from "../design/edit";
import type { ParseOutcome } from "../design/parseDesign";
import { buildCountFixtures } from "../edits/countEdits";
import { buildFirstDesign, type FirstDesign } from "./firstDesign";
import type { OnStep } from "./fitBest";
import { fitWanted, type Wanted } from "./fitWanted";

/**
 * The first design with what else goes aboard, one after the other, each with all that belongs to it where that brings the least to be
 * settled, and counted in the days as is usual. What cannot be fitted is left out. Refused with the faults of what was measured.
 */
export function buildFirstRig(
  first: FirstDesign,
  wanted: readonly Wanted[],
  onStep: OnStep = () => undefined,
): ParseOutcome {
  const outcome = buildFirstDesign(first);
  if (!outcome.ok) return outcome;
  let { design } = outcome;
  for (const [i, one] of wanted.entries()) {
    const { edit } = fitWanted(design, one, (share) => onStep((i + share) / wanted.length));
    const fitted = edit && applyEdit(design, edit);
    if (fitted?.ok) design = fitted.design;
  }
  const count = buildCountFixtures(design);
  const counted = count && applyEdit(design, count);
  return { ...outcome, design: counted?.ok ? counted.design : design };
}
