import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import { freeId } from "../design/freeId";
import { findJunctionBend, findTrap } from "../design/lineItems";
import { roundTenth } from "../design/moves";
import { createNodeId, toNewNode } from "../design/nodes";
import type { Drain, Fixture, Node, Outfall } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { buildDrainPath, type Leg } from "../falls/drainPath";
import { buildNetwork, followDrain } from "../falls/network";
import { placeDrainEnd } from "../gear/gearPorts";
import { add, dot, interpolate, measureLength, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import { createDrain } from "./createDrain";
import { listLeftBehind } from "./leftBehind";

/** Where a drain is to end: at an inlet, or somewhere in another drain. */
export type Goal =
  | Extract<Outfall, { kind: "inlet" }>
  | { readonly kind: "line"; readonly lineId: string }
  | { readonly kind: "ground" }
  | { readonly kind: "vessel"; readonly vesselId: string }
  | { readonly kind: "overboard"; readonly gearId: string }
  | { readonly kind: "sump"; readonly gearId: string };

/** A bend that is this near serves as the place to join, mm. */
const SAME_PLACE_MM = 60;
const AGAINST_COST_MM = 600;
/** How far an end that hangs free is led down, mm [T]. */
const FREE_DROP_MM = 60;
/** How far beside the fixture the drain goes down, mm. */
const DROP_ASIDE_MM = 180;
/** A branch should come in with at least this fall, m/m: what most codes ask of small pipe [P]. */
const WANTED_FALL = 0.02;

/** Places a drain can end in: every inlet, and every other drain that does not itself run through this one. */
export function listGoals(design: Design, drainId: string | null): Goal[] {
  const network = buildNetwork(design);
  return [
    ...design.tanks.flatMap((tank) =>
      tank.ports.flatMap((port): Goal[] =>
        port.kind === "inlet" ? [{ kind: "inlet", tankId: tank.id, portId: port.id }] : [],
      ),
    ),
    ...[...network.drains.values()]
      .filter((drain) => !followDrain(network, drain).some(({ id }) => id === drainId))
      .map((drain): Goal => ({ kind: "line", lineId: drain.id })),
    ...design.habits.vessels.flatMap(({ id, holds }): Goal[] =>
      holds === "fresh" ? [] : [{ kind: "vessel", vesselId: id }],
    ),
    ...design.gear.flatMap(({ id, spec }): Goal[] =>
      spec.kind === "skinFitting"
        ? [{ kind: "overboard", gearId: id }]
        : spec.kind === "sump"
          ? [{ kind: "sump", gearId: id }]
          : [],
    ),
    { kind: "ground" },
  ];
}

/** Edit that draws a drain from a fixture to a goal: down beside the fixture, then straight. Null without the fixture. */
export function buildDrawDrain(design: Design, fixtureId: string, goal: Goal): Edit | null {
  const fixture = design.fixtures.find((f) => f.id === fixtureId);
  if (!fixture) return null;
  const { outletMm } = fixture;
  const weir = vec(outletMm.x, outletMm.y, outletMm.z - 90);
  const { ops, to, endMm } = reachGoal(design, goal, weir);
  return buildAddDrain(design, fixture, { to, bendsMm: layBends(weir, endMm) }, ops);
}

/** Edit that gives a fixture a drain of the usual kind along a course, after what must be put in for its end. */
export function buildAddDrain(
  design: Design,
  fixture: Fixture,
  { to, bendsMm }: { readonly to: Drain["to"]; readonly bendsMm: readonly Vec3[] },
  before: readonly EditOp[],
): Edit {
  const id = freeId("drain", design.lines);
  const value = createDrain(fixture, { id, trap: USUAL_TRAPS.pTrap, to, bendsMm });
  return {
    code: "addDrain",
    at: { kind: "line", id },
    ops: [...before, { op: "insert", path: ["lines"], index: design.lines.length, value }],
  };
}

// Where there is height to spend, down beside the fixture and then on; where there is little, straight.
function layBends(weir: Vec3, endMm: Vec3): Vec3[] {
  const way = subtract(endMm, weir);
  const lengthMm = measurePlanLength(way);
  const lastFallMm = Math.max(30, lengthMm * 2 * WANTED_FALL);
  if (-way.z < lastFallMm + DROP_ASIDE_MM || lengthMm < 2 * DROP_ASIDE_MM) return [];
  const aside = vec(weir.x + (way.x / lengthMm) * DROP_ASIDE_MM, weir.y + (way.y / lengthMm) * DROP_ASIDE_MM, 0);
  return [roundTenth(vec(aside.x, aside.y, weir.z - 10)), roundTenth(vec(aside.x, aside.y, endMm.z + lastFallMm))];
}

/** Edit that lets a drain end somewhere else; its bends stay where they are. Null when it is not there. */
export function buildRedirect(design: Design, drainId: string, goal: Goal): Edit | null {
  const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === drainId);
  if (!drain) return null;
  const from = drain.bendsMm.at(-1) ?? buildDrainPath(design, drain).nodesMm[0]!;
  const { ops, to } = reachGoal(design, goal, from);
  return {
    code: "redirect",
    at: { kind: "line", id: drainId },
    ops: [...ops, { op: "set", path: ["lines", drainId, "to"], value: to }, ...listLeftBehind(design, drain, to)],
  };
}

type Reached = { readonly ops: readonly EditOp[]; readonly to: Outfall; readonly endMm: Vec3 };

/** How a drain that comes from a place reaches a goal: what must be put in for it, its end as data, and where that is. */
export function reachGoal(design: Design, goal: Goal, from: Vec3): Reached {
  if (goal.kind === "inlet") {
    const tank = design.tanks.find((t) => t.id === goal.tankId)!;
    return { ops: [], to: goal, endMm: add(tank.atMm, tank.ports.find((p) => p.id === goal.portId)!.atMm) };
  }
  if (goal.kind === "overboard" || goal.kind === "sump") {
    const piece = design.gear.find(({ id }) => id === goal.gearId)!;
    return { ops: [], to: goal, endMm: placeDrainEnd(piece) };
  }
  if (goal.kind !== "line") {
    const atMm = hangFree(design, from);
    return { ops: [], to: { ...goal, atMm }, endMm: atMm };
  }
  const main = design.lines.find((line) => line.id === goal.lineId) as Drain;
  const path = buildDrainPath(design, main);
  // a bend within the reach of the trap would turn the trap itself
  const isInTrap = (p: Vec3) => measurePlanLength(subtract(p, path.outletMm)) <= (findTrap(main)?.spanMm ?? 0);
  const { leg, atMm } = findPlaceToJoin(path.ownLegs, from, isInTrap);
  return joinAt(main, leg, atMm);
}

/** An end that hangs free does so under the floor, this far over the ground at least, mm [T]. */
const OVER_GROUND_MM = 150;

// Straight below where it comes from, under the floor and well over the ground.
function hangFree({ rig }: Design, from: Vec3): Vec3 {
  const underMm = -measureFloorMm({ rig }) - FREE_DROP_MM;
  const z = Math.max(
    Math.min(from.z - FREE_DROP_MM, underMm),
    rig.groundZMm + Math.min(OVER_GROUND_MM, -rig.groundZMm / 2),
  );
  return roundTenth(vec(from.x, from.y, Math.min(z, from.z)));
}

/** The same for a place that lies along another drain. */
export function reachPlace(design: Design, main: Drain, placeMm: Vec3): Reached {
  const legs = buildDrainPath(design, main).ownLegs.map((leg) => {
    const along = subtract(leg.to, leg.from);
    const whole = dot(along, along);
    const share = whole === 0 ? 0 : clamp(dot(subtract(placeMm, leg.from), along) / whole, 0, 1);
    const atMm = interpolate(leg.from, leg.to, share);
    return { leg, atMm, away: measureLength(subtract(atMm, placeMm)) };
  });
  const { leg, atMm } = legs.reduce((a, b) => (b.away < a.away ? b : a));
  return joinAt(main, leg, roundTenth(atMm));
}

// At a bend that is near, or at one that is put in there.
function joinAt(main: Drain, leg: Leg, atMm: Vec3): Reached {
  const junction = (node: string): Outfall => ({ kind: "junction", lineId: main.id, node, fitting: "wye" });
  const near = [leg.index - 1, leg.index].find((bend) => {
    const point = main.bendsMm[bend];
    return point && measureLength(subtract(point, atMm)) < SAME_PLACE_MM;
  });
  if (near !== undefined) return { ops: [], to: junction(main.bendsMm[near]!.id), endMm: main.bendsMm[near]! };
  const value = toNewNode(main, atMm);
  const insert: EditOp = { op: "insert", path: ["lines", main.id, "bendsMm"], index: leg.index, value };
  return { ops: [insert], to: junction(value.id), endMm: atMm };
}

type Place = { readonly leg: Leg; readonly atMm: Vec3 };

// The nearest place in plan, but what lacks in height weighs more than any way round, and joining against the flow a lot.
function findPlaceToJoin(legs: readonly Leg[], from: Vec3, isInTrap: (p: Vec3) => boolean): Place {
  const places = legs.map((leg) => {
    const along = subtract(leg.to, leg.from);
    const flat = vec(along.x, along.y, 0);
    const nearest = dot(flat, flat) === 0 ? 0.5 : dot(subtract(from, leg.from), flat) / dot(flat, flat);
    const atMm = roundTenth(interpolate(leg.from, leg.to, clamp(nearest, 0.15, 0.85)));
    const way = subtract(atMm, from);
    const lengthMm = measurePlanLength(way);
    const lacksMm = Math.max(0, lengthMm * WANTED_FALL + way.z);
    const isAgainst = leg.kind === "run" && dot(way, flat) < 0;
    return { leg, atMm, cost: lengthMm + 20 * lacksMm + (isAgainst ? AGAINST_COST_MM : 0) };
  });
  const free = places.filter(({ atMm }) => !isInTrap(atMm));
  return (free.length > 0 ? free : places).reduce((a, b) => (b.cost < a.cost ? b : a));
}

/**
 * Operations that keep what joins a drain running when that drain is taken out: the branch that joins it first goes on
 * along its way, in its pipe, and the others join that one. Empty when nothing joins it.
 */
export function listHandOver(design: Design, drain: Drain): EditOp[] {
  const branches = (buildNetwork(design).branches.get(drain.id) ?? []).flatMap((branch) =>
    branch.to.kind === "junction"
      ? [{ branch, bend: findJunctionBend(drain, branch.to), fitting: branch.to.fitting }]
      : [],
  );
  const heir = branches.reduce<(typeof branches)[number] | null>((a, b) => (a && a.bend <= b.bend ? a : b), null);
  if (!heir) return [];
  const { branch, bend } = heir;
  // bends of two drains that become one may be called the same
  const taken = new Set(branch.bendsMm.map(({ id }) => id));
  const handed = drain.bendsMm.slice(bend).map((node): Node => {
    const id = taken.has(node.id) ? createNodeId(node, taken) : node.id;
    taken.add(id);
    return { ...node, id };
  });
  const bendsMm = [...branch.bendsMm, ...handed];
  return [
    { op: "set", path: ["lines", branch.id, "bendsMm"], value: bendsMm },
    { op: "set", path: ["lines", branch.id, "to"], value: drain.to },
    { op: "set", path: ["lines", branch.id, "pipe"], value: drain.pipe },
    ...branches
      .filter((other) => other !== heir)
      .map(({ branch: other, bend: at, fitting }): EditOp => {
        const to = { kind: "junction", lineId: branch.id, node: handed[at - bend]!.id, fitting };
        return { op: "set", path: ["lines", other.id, "to"], value: to };
      }),
  ];
}
