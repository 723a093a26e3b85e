import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import { buildPutItems, findBranchVent, findLineTrap, findTrap } from "../design/lineItems";
import { buildMove, findPlaceMm } from "../design/moves";
import type { Drain, Tank, Trap, Vent } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { placeBranchVentMm } from "../edits/branchVentEdits";
import { buildCountFixtures } from "../edits/countEdits";
import { buildLineTrap } from "../edits/pipeEdits";
import { buildUseToilet } from "../edits/toiletEdits";
import { buildAddVent, buildOpenVent } from "../edits/ventEdits";
import type { Finding } from "../evaluate/findings";
import { toTankBlock } from "../fit/obstacleGaps";
import { measureExtent } from "../geometry/solid";
import { add, measureLength, subtract, vec } from "../geometry/vec";
import { findPipeSize, listFamily } from "../parts/pipes";
import { lookUpLimit } from "../rules/lookUpLimit";
import { seatPort } from "../templates/seatPort";
import { proposeFallRemedies } from "./fallRemedies";
import type { Remedy } from "./remedy";

/** A P-trap as sold, with the seal the rules ask for [T]. */
export function createTrap(design: Design, boreMm: number): Trap {
  const sealMm = lookUpLimit(design.rules, "sealLeast", { boreMm }).value ?? 50;
  return { ...USUAL_TRAPS.pTrap, sealMm };
}

/** A trap costs height: where the drain then lacks fall, what gives it back comes with the trap in one edit. */
export function proposeTrap(design: Design, drain: Drain): Remedy[] {
  const value = createTrap(design, drain.pipe.innerMm);
  const at = { kind: "trap", lineId: drain.id } as const;
  const ops: EditOp[] = [buildPutItems(drain, { trap: value })];
  const fitted = applyEdit(design, { code: "addTrap", at, ops });
  if (!fitted.ok) return [];
  const fitting = fitted.design.lines.find((line) => line.id === drain.id) as Drain;
  const makeUp = proposeFallRemedies(fitted.design, fitting)
    .filter(({ edit }) => edit.code === "shareFall" || edit.code === "raiseOutlet")
    .map(({ edit, byMm }): Remedy => ({ byMm, edit: { code: "addTrap", at, ops: [...ops, ...edit.ops] } }));
  return [{ byMm: null, edit: { code: "addTrap", at, ops } }, ...makeUp];
}

/** A hose that sewage does not smell through. */
export function proposeBarrierHose(design: Design, lineId: string): Remedy[] {
  const line = design.lines.find(({ id }) => id === lineId);
  if (line?.kind !== "hose") return [];
  const ops: EditOp[] = [{ op: "set", path: ["lines", lineId, "wall"], value: "barrier" }];
  return [{ byMm: null, edit: { code: "barrierHose", at: { kind: "line", id: lineId }, ops } }];
}

/** An air-admittance valve on the branch, on the first run and at least two bores from the weir [P: UPC 1002.2, 95 %]. */
export function proposeBranchVent(design: Design, drain: Drain): Remedy[] {
  const fromWeirMm = placeBranchVentMm(design, drain);
  if (fromWeirMm === null) return [];
  // one that is there stands too far off
  const value = { kind: findBranchVent(drain)?.kind ?? "admittanceValve", fromWeirMm };
  const ops: EditOp[] = [buildPutItems(drain, { branchVent: value })];
  return [
    {
      byMm: findBranchVent(drain) ? fromWeirMm : null,
      edit: { code: "addBranchVent", at: { kind: "line", id: drain.id }, ops },
    },
  ];
}

/** Turns the tee of a lying branch into a wye. */
export function proposeWye(drain: Drain): Remedy[] {
  if (drain.to.kind !== "junction") return [];
  const ops: EditOp[] = [{ op: "set", path: ["lines", drain.id, "to", "fitting"], value: "wye" }];
  return [{ byMm: null, edit: { code: "fitWye", at: { kind: "line", id: drain.id }, ops } }];
}

export function proposeWiderPipe(drain: Drain): Remedy[] {
  // the next size of the same kind of pipe; of metric waste pipe where it is the builder's own
  const family = findPipeSize(drain.pipe)?.family ?? "metricWaste";
  const value = listFamily(family).find(({ pipe }) => pipe.innerMm > drain.pipe.innerMm + 1)?.pipe;
  if (!value) return [];
  const at = { kind: "line", id: drain.id } as const;
  return [
    { byMm: null, edit: { code: "widenPipe", at, ops: [{ op: "set", path: ["lines", drain.id, "pipe"], value }] } },
  ];
}

/** A breather from the middle of the tank's top up the wall. */
export const proposeVent = (design: Design, tank: Tank): Remedy[] => [{ byMm: null, edit: buildAddVent(design, tank) }];

/** Lifts the dip of a breather until nothing stands in it. */
export function proposeVentLift(
  design: Design,
  at: { readonly kind: "bend"; readonly lineId: string; readonly index: number },
  deepMm: number,
): Remedy[] {
  const place = findPlaceMm(design, at);
  const byMm = Math.ceil(deepMm) + 1;
  const edit = place && buildMove(design, at, add(place, vec(0, 0, byMm)));
  return edit ? [{ byMm, edit: { ...edit, code: "liftVent" } }] : [];
}

/** Takes the end of a breather 100 mm over the tank's top. */
export function proposeVentRise(design: Design, vent: Vent): Remedy[] {
  const tank = design.tanks.find((t) => t.id === vent.fromTank)!;
  const end = vent.pointsMm.at(-1);
  // one that goes straight into another's tee has no point of its own to lift
  if (!end) return [];
  const byMm = Math.ceil(toTankBlock(tank).max.z + 100 - end.z);
  const edit = buildMove(
    design,
    { kind: "bend", lineId: vent.id, index: vent.pointsMm.length - 1 },
    add(end, vec(0, 0, byMm)),
  );
  return edit && byMm > 0 ? [{ byMm, edit }] : [];
}

/** A dump outlet at the lowest edge of the rear wall. */
export function proposeOutlet(tank: Tank): Remedy[] {
  const { min, max } = measureExtent(tank.solid);
  const boreMm = Math.min(38, max.z - min.z);
  const value = createPort({
    id: freeId("dump", tank.ports),
    kind: "outlet",
    atMm: vec(min.x, (min.y + max.y) / 2, min.z),
    boreMm,
  });
  const ops: EditOp[] = [{ op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value }];
  return [{ byMm: null, edit: { code: "addOutlet", at: { kind: "tank", id: tank.id }, ops } }];
}

/** A spout so high over its funnel as it must be, in whole mm. */
export function proposeHigherGap({ at, leastMm }: Extract<Finding, { readonly code: "airGapLow" }>): Remedy[] {
  if (at.kind !== "gear") return [];
  const byMm = Math.ceil(leastMm);
  return [
    { byMm, edit: { code: "raiseGap", at, ops: [{ op: "set", path: ["gear", at.id, "spec", "gapMm"], value: byMm }] } },
  ];
}

/** A mesh on a breather's open end. */
export const proposeMesh = ({ id, to }: Vent): Remedy[] =>
  to.kind === "openAir"
    ? [
        {
          byMm: null,
          edit: {
            code: "fitMesh",
            at: { kind: "line", id },
            ops: [{ op: "set", path: ["lines", id, "to", "hasMesh"], value: true }],
          },
        },
      ]
    : [];

/** An inlet is set so much higher at least, and is tried a step at a time, mm. */
const INLET_STEP_MM = 10;

/**
 * Puts an inlet as high as the tank lets it, or as high as its drain does; or the tank so much lower and its inlet as much higher, so that the
 * drain stays as it is.
 */
export function proposeHigherInlet(design: Design, tank: Tank, portId: string): Remedy[] {
  const port = tank.ports.find((p) => p.id === portId);
  if (!port) return [];
  const mostMm = Math.floor(measureExtent(tank.solid).max.z - port.boreMm - port.atMm.z);
  const part = { kind: "port", tankId: tank.id, id: portId } as const;
  const raised = (byMm: number): Remedy[] => {
    const edit = byMm > 0 ? buildMove(design, part, add(tank.atMm, add(port.atMm, vec(0, 0, byMm)))) : null;
    return edit ? [{ byMm, isByLeast: true, edit }] : [];
  };
  const steps = Array.from({ length: Math.floor(mostMm / INLET_STEP_MM) }, (_, i) => (i + 1) * INLET_STEP_MM);
  const lowered = steps.flatMap((byMm): Remedy[] => {
    const down = buildMove(design, { kind: "tank", id: tank.id }, add(tank.atMm, vec(0, 0, -byMm)));
    const [up] = raised(byMm);
    if (!down || !up) return [];
    return [{ byMm, isByLeast: true, edit: { ...down, code: "lowerTank", ops: [...down.ops, ...up.edit.ops] } }];
  });
  return [...raised(mostMm), ...[...steps].reverse().flatMap(raised), ...lowered];
}

/** Lifts the tee that two breathers share above both tanks. */
export function proposeTeeLift(
  design: Design,
  at: { readonly kind: "bend"; readonly lineId: string; readonly index: number },
  byMm: number,
): Remedy[] {
  return proposeVentLift(design, at, byMm + 20).map((remedy) => ({
    ...remedy,
    edit: { ...remedy.edit, code: "liftTee" },
  }));
}

/** Takes a breather that shared another's way up the wall to an end of its own. */
export function proposeOwnEnd(design: Design, vent: Vent): Remedy[] {
  const edit = buildOpenVent(design, vent.id);
  return edit ? [{ byMm: null, edit }] : [];
}

/** Of two traps in a row the one under the fixture goes, so that what else drains through the other keeps its seal; or the other way round. */
export function proposeOneTrap(drain: Drain): Remedy[] {
  const drop = buildLineTrap(drain, null);
  const at = { kind: "line", id: drain.id } as const;
  const ops: EditOp[] = [buildPutItems(drain, { trap: null })];
  return [
    ...(findLineTrap(drain) && drop ? [{ byMm: null, edit: drop }] : []),
    ...(findTrap(drain) ? [{ byMm: null, edit: { code: "removeTrap", at, ops } } as const] : []),
  ];
}

/** A trap that can be opened where it sits. */
export function proposeCleanout(drain: Drain, isInLine: boolean): Remedy[] {
  const [trap, lineTrap] = [findTrap(drain), findLineTrap(drain)];
  const given = isInLine
    ? lineTrap && { lineTrap: { ...lineTrap, hasCleanout: true } }
    : trap && { trap: { ...trap, hasCleanout: true } };
  if (!given) return [];
  const ops = [buildPutItems(drain, given)];
  return [{ byMm: null, edit: { code: "addCleanout", at: { kind: "line", id: drain.id }, ops } }];
}

/** A port that breaks through the edge of its wall, set in as far as it must. */
export function proposeSeat(tank: Tank, portId: string): Remedy[] {
  const port = tank.ports.find(({ id }) => id === portId);
  const seated = port && seatPort(tank, port);
  if (!port || !seated || seated === port) return [];
  const byMm = measureLength(subtract(seated.atMm, port.atMm));
  const ops = [{ op: "set", path: ["tanks", tank.id, "ports", portId, "atMm"], value: seated.atMm } as const];
  return [{ byMm, edit: { code: "seatPort", at: { kind: "port", tankId: tank.id, id: portId }, ops } }];
}

/** What is usual at the fixtures nothing is counted for. */
export function proposeCount(design: Design): Remedy[] {
  const edit = buildCountFixtures(design);
  return edit ? [{ byMm: null, edit }] : [];
}

/** What is usually done on the toilet, in every way of living that is lived without. */
export function proposeToiletUse(design: Design): Remedy[] {
  const edit = buildUseToilet(design);
  return edit ? [{ byMm: null, edit }] : [];
}
