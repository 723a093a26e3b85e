import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { measureFloorMm } from "../design/floor";
import { buildPutItems, findTrap } from "../design/lineItems";
import { buildMove } from "../design/moves";
import type { Drain, Fixture, Trap } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import type { Finding } from "../evaluate/findings";
import { add, vec } from "../geometry/vec";
import { computeHungDropMm, findTrapBottomMm } from "../traps/trapRoom";
import { proposeBranchVent } from "./partRemedies";
import type { Remedy } from "./remedy";

/** A fixture is raised by no more than a step, mm [T]. */
const STEP_MM = 150;

/**
 * Takes a trap out of the floor: up, by a fixture that stands higher or a trap that takes less height; or down, hung under the
 * floor on a tailpiece, where it is reached by its cleanout.
 */
export function proposeTrapOutOfFloor(
  design: Design,
  drain: Drain,
  { endsInFloor }: Extract<Finding, { readonly code: "trapInFloor" }>,
): Remedy[] {
  const trap = findTrap(drain);
  const fixture = design.fixtures.find(({ id }) => id === drain.fromFixture);
  if (!trap || !fixture) return [];
  const kinds = (["running", "membrane"] as const)
    .map((kind) => USUAL_TRAPS[kind])
    .filter((other) => other.kind !== trap.kind && other.dropMm + other.sealMm < trap.dropMm + trap.sealMm);
  return [
    ...proposeRaised(design, drain, fixture, trap),
    ...(endsInFloor ? proposeHungTrap(design, drain, fixture, trap) : []),
    ...kinds.flatMap((value) => proposeOtherTrap(design, drain, fixture, value)),
  ];
}

/** A membrane valve in place of a trap: it holds no water that could be sucked out, thrown out or dry up. */
export function proposeWaterless(design: Design, drain: Drain): Remedy[] {
  const trap = findTrap(drain);
  const fixture = design.fixtures.find(({ id }) => id === drain.fromFixture);
  return trap && trap.kind !== "membrane" && fixture
    ? proposeOtherTrap(design, drain, fixture, USUAL_TRAPS.membrane)
    : [];
}

/** Air behind a trap that is sucked empty, or one that holds no water. */
export const proposeSteadyTrap = (
  design: Design,
  _finding: Finding,
  { drain }: { readonly drain: Drain | null },
): Remedy[] => (drain ? [...proposeBranchVent(design, drain), ...proposeWaterless(design, drain)] : []);

function proposeOtherTrap(design: Design, drain: Drain, fixture: Fixture, value: Trap): Remedy[] {
  const at = { kind: "trap", lineId: drain.id } as const;
  const put = buildPutItems(drain, { trap: value });
  // a hair too low still, it goes in with the fixture raised by that; it is what goes along, not the one before
  const fitted = applyEdit(design, { code: "lowerTrap", at, ops: [put] });
  const raised = fitted.ok
    ? proposeRaised(fitted.design, drain, fixture, value).map(({ byMm, edit }): Remedy => {
        return { byMm, edit: { code: "lowerTrap", at, ops: [put, ...edit.ops] } };
      })
    : [];
  return [{ byMm: null, edit: { code: "lowerTrap", at, ops: [put] } }, ...raised];
}

// The fixture so much higher that the trap's bottom is over the floor.
function proposeRaised(design: Design, drain: Drain, fixture: Fixture, trap: Trap): Remedy[] {
  const byMm = Math.ceil(-findTrapBottomMm(fixture.outletMm.z - trap.dropMm, trap, drain.pipe));
  const at = { kind: "fixture", id: fixture.id } as const;
  const move = byMm > 0 && byMm <= STEP_MM ? buildMove(design, at, add(fixture.outletMm, vec(0, 0, byMm))) : null;
  return move ? [{ byMm, edit: { ...move, code: "raiseOutlet" } }] : [];
}

// So much lower that the pipe leaves it under the floor.
function proposeHungTrap(design: Design, drain: Drain, { outletMm }: Fixture, trap: Trap): Remedy[] {
  const dropMm = computeHungDropMm(outletMm.z, measureFloorMm(design), drain.pipe);
  const value: Trap = { ...trap, dropMm, hasCleanout: true };
  const at = { kind: "trap", lineId: drain.id } as const;
  const ops = [buildPutItems(drain, { trap: value })];
  return dropMm > trap.dropMm ? [{ byMm: dropMm - trap.dropMm, edit: { code: "hangTrap", at, ops } }] : [];
}
