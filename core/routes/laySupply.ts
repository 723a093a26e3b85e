import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { tryChain } from "../edits/editChain";
import { listFitSupply, wantsFreshTank } from "../edits/fitSupply";
import { bringsMust } from "./cleanWay";
import { fitBest, type OnStep } from "./fitBest";
import { buildFitTank } from "./fitTank";

/** A tank's places are so much of the work, where one has to be hung. */
const TANK_SHARE = 0.6;

/**
 * Edit that lays fresh water to a tap over every fixture that has none; where there is no fresh tank yet, one is hung first, where that
 * brings the least to be settled. Null where no fixture wants a tap, or none can be led to one.
 */
export function buildLaySupply(design: Design, onStep: OnStep = () => undefined): Edit | null {
  if (!wantsFreshTank(design)) return layFrom(design, onStep);
  const tank = buildFitTank(design, { holds: "fresh", name: "Fresh tank" }, (share) => onStep(TANK_SHARE * share));
  const hung = tank && applyEdit(design, tank);
  if (!tank || !hung?.ok) return null;
  const edit = layFrom(hung.design, (share) => onStep(TANK_SHARE + (1 - TANK_SHARE) * share));
  return edit && { ...edit, ops: [...tank.ops, ...edit.ops] };
}

// Under a sink the pump is out of the way, where its hose finds one under the floor.
function layFrom(design: Design, onStep: OnStep): Edit | null {
  let edit: Edit | null = null;
  for (const build of listFitSupply(design)) {
    const fitted = fitBest(design, [() => tryChain(build)], onStep);
    edit = fitted ?? edit;
    if (fitted && !bringsMust(design, fitted)) break;
  }
  return edit;
}
