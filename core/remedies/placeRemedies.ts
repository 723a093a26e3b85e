import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import { buildPutHoles, listDrilledHoles } from "../design/lineItems";
import { buildMove, roundTenth } from "../design/moves";
import type { Drain, Line, Vent } from "../design/plumbing";
import { buildDrawDrain, buildRedirect, type Goal, listGoals } from "../edits/drainEdits";
import { buildVentWay } from "../edits/ventEdits";
import type { Finding } from "../evaluate/findings";
import { buildDrainPath } from "../falls/drainPath";
import { clearPort } from "../fit/clearPort";
import { add, measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import { listServed } from "../tanks/portPlace";
import type { Remedy } from "./remedy";

type PortRef = { readonly tankId: string; readonly id: string };
type Of<C extends Finding["code"]> = Extract<Finding, { code: C }>;

/** Leads a breather under the floor to the wall and up it. */
export function proposeAlongWall(design: Design, vent: Vent): Remedy[] {
  return (["wall", "underFloor"] as const).flatMap((way): Remedy[] => {
    const edit = buildVentWay(design, vent.id, way);
    return edit ? [{ byMm: null, edit: { ...edit, code: "ventAlongWall" } }] : [];
  });
}

/** Makes a round hole as wide as the pipe needs at its slope. */
export function proposeWiderHole(line: Line, leg: number, { neededMm }: Of<"holeSmall">): Remedy[] {
  const wideMm = Math.ceil(neededMm);
  const holes = listDrilledHoles(line).map((hole) =>
    hole.leg === leg && hole.diameterMm < wideMm ? { ...hole, diameterMm: wideMm } : hole,
  );
  const ops = [buildPutHoles(line, holes)];
  return [{ byMm: wideMm, edit: { code: "widenHole", at: { kind: "line", id: line.id }, ops } }];
}

/** How far the last bend of a branch is set back against the flow of the pipe it joins, mm. */
const SET_BACK_MM = [150, 300, 500] as const;

/** Lets a branch come in with the flow: its last bend further up beside the pipe it joins, or the junction elsewhere. */
export function proposeTurnedBranch(design: Design, drain: Drain): Remedy[] {
  const path = buildDrainPath(design, drain);
  const next = path.legs[path.ownLegs.length];
  const last = drain.bendsMm.length - 1;
  const bend = drain.bendsMm[last];
  const { to } = drain;
  if (!next || to.kind !== "junction") return [];
  const at = { kind: "line", id: drain.id } as const;
  const along = subtract(next.to, next.from);
  const reach = Math.hypot(along.x, along.y);
  const turned =
    bend && reach > 0
      ? SET_BACK_MM.map((backMm): Remedy => {
          const end = path.ownLegs.at(-1)!.to;
          const value: Vec3 = vec(
            Math.round(end.x - (along.x / reach) * backMm + (bend.x - end.x) * 0.5),
            Math.round(end.y - (along.y / reach) * backMm + (bend.y - end.y) * 0.5),
            bend.z,
          );
          const ops: EditOp[] = [{ op: "set", path: ["lines", drain.id, "bendsMm", last], value }];
          return { byMm: null, edit: { code: "turnBranch", at, ops } };
        })
      : [];
  const redirect = buildRedirect(design, drain.id, { kind: "line", lineId: to.lineId });
  return [...turned, ...(redirect ? [{ byMm: null, edit: redirect }] : [])];
}

/** Of two drains on one inlet the second gets a hole of its own beside it, or joins the first before it. */
export function proposeApart(design: Design, { tankId, id: portId }: PortRef, lineId: string): Remedy[] {
  const second = listServed(design, tankId, portId).find(({ id }) => id !== lineId);
  const tank = design.tanks.find(({ id }) => id === tankId);
  const port = tank?.ports.find(({ id }) => id === portId);
  if (!second || !tank || !port) return [];
  const at = { kind: "line", id: second.id } as const;
  const base = { ...port, id: freeId("inlet", tank.ports), boreMm: Math.max(port.boreMm, second.pipe.innerMm) };
  const first = clearPort(tank, base);
  const byMm = subtract(first.atMm, port.atMm);
  // to the one side of the old hole, and to the other
  const holes = [first, clearPort(tank, { ...base, atMm: subtract(port.atMm, byMm) })];
  const own = holes.flatMap((hole) =>
    [0, 1, second.bendsMm.length].map((bends): Remedy => {
      const ops: EditOp[] = [
        { op: "insert", path: ["tanks", tankId, "ports"], index: tank.ports.length, value: hole },
        { op: "set", path: ["lines", second.id, "to"], value: { kind: "inlet", tankId, portId: hole.id } },
        ...carryBends(second, bends, subtract(hole.atMm, port.atMm)),
      ];
      return { byMm: null, edit: { code: "ownInlet", at, ops } };
    }),
  );
  const isDrain = design.lines.some(({ id: own, kind }) => own === lineId && kind === "drain");
  const join = isDrain ? buildRedirect(design, second.id, { kind: "line", lineId }) : null;
  return [...own, ...(join ? [{ byMm: null, edit: { ...join, code: "joinBefore" } } as const] : [])];
}

// The last bends under the floor go along with the hole, so that two pipes that ended in one lie side by side.
const carryBends = ({ id, bendsMm }: Drain, count: number, by: Vec3): EditOp[] =>
  bendsMm.flatMap((bend, i): EditOp[] =>
    i < bendsMm.length - count || bend.z >= 0
      ? []
      : [{ op: "set", path: ["lines", id, "bendsMm", i], value: { ...bend, ...roundTenth(add(bend, by)) } }],
  );

/** One use that the tank can hold, L in tenths. */
export function proposeLessUse(fixtureId: string, holdsL: number): Remedy[] {
  const value = Math.floor(holdsL * 10) / 10;
  if (value < 0.1) return [];
  const ops: EditOp[] = [{ op: "set", path: ["fixtures", fixtureId, "volumePerUseL"], value }];
  return [{ byMm: value, edit: { code: "useLess", at: { kind: "fixture", id: fixtureId }, ops } }];
}

/** Kept from the edge of the floor, mm. */
const FROM_EDGE_MM = 200;

/** Moves a fixture that stands outside to the nearest place on the floor. */
export function proposeInside(design: Design, fixtureId: string): Remedy[] {
  const fixture = design.fixtures.find(({ id }) => id === fixtureId);
  if (!fixture) return [];
  const { lengthMm, widthMm } = design.rig;
  const half = widthMm / 2 - FROM_EDGE_MM;
  const { x, y, z } = fixture.outletMm;
  const inside = vec(clamp(x, FROM_EDGE_MM, lengthMm - FROM_EDGE_MM), clamp(y, -half, half), Math.min(z, 900));
  const move = buildMove(design, { kind: "fixture", id: fixtureId }, inside);
  return move
    ? [{ byMm: measureLength(subtract(inside, fixture.outletMm)), edit: { ...move, code: "moveInside" } }]
    : [];
}

/** Draws the missing drain to an inlet that stands free, or into another drain. */
export function proposeDrain(design: Design, fixtureId: string): Remedy[] {
  const isMeant = (goal: Goal): boolean => {
    if (goal.kind === "line") return true;
    if (goal.kind !== "inlet") return false;
    const isFresh = design.tanks.find(({ id }) => id === goal.tankId)?.holds === "fresh";
    return !isFresh && listServed(design, goal.tankId, goal.portId).length === 0;
  };
  return listGoals(design, null)
    .filter(isMeant)
    .sort((a, b) => Number(a.kind === "line") - Number(b.kind === "line"))
    .flatMap((goal): Remedy[] => {
      const edit = buildDrawDrain(design, fixtureId, goal);
      return edit ? [{ byMm: null, edit }] : [];
    });
}
