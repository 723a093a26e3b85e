import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear } from "../design/gear";
import { roundTenth } from "../design/moves";
import { toNodes } from "../design/nodes";
import type { Hose, Port, Tank } from "../design/plumbing";
import { isCourseClear } from "../fit/clearCourse";
import { isClearOfParts } from "../fit/clearOfParts";
import { clearPort } from "../fit/clearPort";
import { USUAL_GEAR } from "../gear/usualGear";
import { measureExtent } from "../geometry/solid";
import { add, vec } from "../geometry/vec";
import { USUAL_HOSE } from "./hosePipe";

/** A deck so high over the sole until it is measured, and a hose so far from the side, mm [T]. */
const DECK_MM = 900;
const FROM_SIDE_MM = 70;
/** Out of the tank before the first bend, mm, so that hose of 38 mm does not kink [T]. */
const OUT_MM = 190;
const BORE_MM = 38;
const NEAR_SIDE_MM = 350;

/**
 * Edit that gives a tank a pump-out: a draw near its bottom in an end wall, that with more room before it where its hose runs clear of what
 * is there, a fitting in the deck at the nearer side, and hose between them, rising all the way. Where the deck is has to be measured [T].
 */
export function buildFitPumpOut(design: Design, tank: Tank, name: string): Edit {
  const { min, max } = measureExtent(tank.solid);
  const isAhead = design.rig.lengthMm - (tank.atMm.x + max.x) >= tank.atMm.x + min.x;
  const plans = [isAhead, !isAhead].map((ahead) => planPumpOut(design, tank, name, ahead));
  const isClear = ({ hose, draw }: Plan) => {
    const course = [add(tank.atMm, draw.atMm), ...hose.pointsMm];
    return isCourseClear(design, course, hose.pipe) && isClearOfParts(design, course, hose.pipe, tank.id);
  };
  return {
    code: "fitPumpOut",
    at: { kind: "tank", id: tank.id },
    ops: listOps(design, tank, plans.find(isClear) ?? plans[0]!),
  };
}

type Plan = { readonly draw: Port; readonly deck: Gear; readonly hose: Hose };

function planPumpOut(design: Design, tank: Tank, name: string, isAhead: boolean): Plan {
  const { min, max } = measureExtent(tank.solid);
  const draw = clearPort(
    tank,
    createPort({
      id: freeId("draw", tank.ports),
      kind: "draw",
      atMm: vec(isAhead ? max.x : min.x, (min.y + max.y) / 2, min.z + BORE_MM / 2 + 1),
      boreMm: BORE_MM,
    }),
  );
  const start = add(tank.atMm, draw.atMm);
  const side = tank.atMm.y + (min.y + max.y) / 2 > 0 ? 1 : -1;
  const sideY = side * (design.rig.widthMm / 2 - FROM_SIDE_MM);
  const x = start.x + (isAhead ? OUT_MM : -OUT_MM);
  const topMm = tank.atMm.z + max.z;
  const deck: Gear = {
    id: freeId("deck", design.gear),
    name,
    ...USUAL_GEAR.deckFitting,
    atMm: roundTenth(vec(x - 30, sideY - 30, DECK_MM)),
  };
  const hose: Hose = {
    id: freeId("pumpout", design.lines),
    name: `${name}, hose`.slice(0, 80),
    kind: "hose",
    pipe: { innerMm: BORE_MM, outerMm: BORE_MM + 8, manningN: USUAL_HOSE.manningN },
    from: { kind: "tank", tankId: tank.id, portId: draw.id },
    to: { kind: "gear", gearId: deck.id, port: "out" },
    pointsMm: toNodes(
      [
        // where the side is near, one bend less, or the hose would kink between them
        ...(Math.abs(sideY - start.y) < NEAR_SIDE_MM ? [] : [vec(x, start.y + side * 40, start.z + 40)]),
        vec(x, (start.y + sideY) / 2, Math.max(topMm + 60, start.z + 220)),
        vec(x, sideY, Math.max(topMm + 300, 200)),
      ].map(roundTenth),
    ),
    wall: "sanitation",
  };
  return { draw, deck, hose };
}

function listOps(design: Design, tank: Tank, { draw, deck, hose }: Plan): EditOp[] {
  return [
    { op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value: draw },
    { op: "insert", path: ["gear"], index: design.gear.length, value: deck },
    { op: "insert", path: ["lines"], index: design.lines.length, value: hose },
  ];
}
