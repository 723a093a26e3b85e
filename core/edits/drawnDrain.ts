import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import { findTrap, listAtBeginning } from "../design/lineItems";
import { roundTenth } from "../design/moves";
import type { Drain, Fixture, Outfall } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { buildDrainPath } from "../falls/drainPath";
import { add, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import { MM_PER_M } from "../quantity/convert";
import { buildAddDrain, listGoals, reachGoal } from "./drainEdits";
import { listLeftBehind } from "./leftBehind";

/** A point as it is clicked in plan, mm. */
export type PlanPoint = { readonly x: number; readonly y: number };

/** Where a click can end a drain: an inlet, or a place along another drain. */
export type PlanEnd = { readonly goal: Goal; readonly atMm: Vec3 };
type Goal = ReturnType<typeof listGoals>[number];

/**
 * The point a click makes after the one before it: on the nearest of the eight ways that bends of 45° and 90° allow,
 * as far along it as the click reaches. The first point of a way is free [C].
 */
export function snapToFittings(before: readonly PlanPoint[], click: PlanPoint): PlanPoint {
  const last = before.at(-1);
  if (!last) return click;
  const [dx, dy] = [click.x - last.x, click.y - last.y];
  const eighth = Math.PI / 4;
  const angle = Math.round(Math.atan2(dy, dx) / eighth) * eighth;
  const reach = Math.max(0, dx * Math.cos(angle) + dy * Math.sin(angle));
  return { x: Math.round(last.x + reach * Math.cos(angle)), y: Math.round(last.y + reach * Math.sin(angle)) };
}

/** The nearest end within `withinMm` of a click; null where none is near. A fixture's own drain is no end for it. */
export function findPlanEnd(design: Design, fixtureId: string, click: PlanPoint, withinMm: number): PlanEnd | null {
  const own = findDrainOf(design, fixtureId);
  let best: (PlanEnd & { readonly away: number }) | null = null;
  const offer = (goal: Goal, atMm: Vec3, away: number) => {
    if (away <= withinMm && (!best || away < best.away)) best = { goal, atMm, away };
  };
  for (const goal of listGoals(design, own?.id ?? null)) {
    if (goal.kind === "inlet") {
      const tank = design.tanks.find(({ id }) => id === goal.tankId)!;
      const atMm = add(tank.atMm, tank.ports.find(({ id }) => id === goal.portId)!.atMm);
      // an inlet is a small mark: it wins over a pipe that runs into it
      offer(goal, atMm, Math.max(0, Math.hypot(atMm.x - click.x, atMm.y - click.y) - withinMm / 2));
      continue;
    }
    // an end in the open is everywhere, and so no place to aim at
    if (goal.kind !== "line" || goal.lineId === own?.id) continue;
    const main = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === goal.lineId)!;
    for (const { from, to } of buildDrainPath(design, main).ownLegs) {
      const along = subtract(to, from);
      const whole = along.x ** 2 + along.y ** 2;
      if (whole === 0) continue;
      const share = Math.min(1, Math.max(0, ((click.x - from.x) * along.x + (click.y - from.y) * along.y) / whole));
      const atMm = vec(from.x + along.x * share, from.y + along.y * share, from.z + along.z * share);
      offer(goal, atMm, Math.hypot(atMm.x - click.x, atMm.y - click.y));
    }
  }
  return best;
}

const findDrainOf = (design: Design, fixtureId: string): Drain | null =>
  design.lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === fixtureId) ?? null;

/** How far beside the outlet a drain goes down when no place was clicked for it, mm. */
const ASIDE_MM = 180;
/** The turn down sits this far below the weir, mm. */
const TURN_MM = 10;

/**
 * Edit that lays a drain from a fixture along clicked points to an end, at a fall in mm/m ≥ 0. Heights are laid from the
 * end upward; the first point is where the drain goes down. A drain that is there already is laid anew and keeps its
 * trap and pipe. Null where the fixture is not there.
 */
export function buildDrawnDrain(
  design: Design,
  fixtureId: string,
  points: readonly PlanPoint[],
  end: PlanEnd,
  fallMmPerM: number,
): Edit | null {
  const fixture = design.fixtures.find(({ id }) => id === fixtureId);
  if (!fixture) return null;
  const known = findDrainOf(design, fixtureId);
  const reached = reachGoal(design, end.goal, end.atMm);
  const bendsMm = layHeights(design, fixture, known, { points, endMm: reached.endMm, fallMmPerM });
  const { to, ops } = reached;
  if (known) {
    const relaid = [...ops, ...relay(known, to, bendsMm), ...listLeftBehind(design, known, to)];
    return { code: "reroute", at: { kind: "line", id: known.id }, ops: relaid };
  }
  return buildAddDrain(design, fixture, { to, bendsMm }, ops);
}

/** What lays a drain along other bends: what stood at the old ones goes with them. */
export const relay = (drain: Drain, to: Outfall, bendsMm: readonly Vec3[]): EditOp[] => [
  { op: "set", path: ["lines", drain.id, "items"], value: listAtBeginning(drain) },
  { op: "set", path: ["lines", drain.id, "to"], value: to },
  { op: "set", path: ["lines", drain.id, "bendsMm"], value: bendsMm },
];

type Course = { readonly points: readonly PlanPoint[]; readonly endMm: Vec3; readonly fallMmPerM: number };

function layHeights(design: Design, fixture: Fixture, known: Drain | null, course: Course): Vec3[] {
  const { endMm, fallMmPerM } = course;
  const { outletMm } = fixture;
  const weirZ = outletMm.z - (known ? (findTrap(known)?.dropMm ?? 0) : USUAL_TRAPS.pTrap.dropMm);
  const points = course.points.length > 0 ? course.points : [placeAside(outletMm, endMm)];
  const heights: number[] = [];
  let z = endMm.z;
  let before: PlanPoint = endMm;
  for (const p of [...points].reverse()) {
    z += (Math.hypot(p.x - before.x, p.y - before.y) * fallMmPerM) / MM_PER_M;
    heights.unshift(z);
    before = p;
  }
  const [first] = points;
  const [foot] = heights;
  const laid = points.map((p, i) => roundTenth(vec(p.x, p.y, heights[i]!)));
  // straight down only where there is a floor or some height between the trap and the run
  const wantsDrop = weirZ - TURN_MM - foot! > Math.max(60, weirZ > 0 ? measureFloorMm(design) : 0);
  return wantsDrop ? [roundTenth(vec(first!.x, first!.y, weirZ - TURN_MM)), ...laid] : laid;
}

function placeAside(outlet: Vec3, endMm: Vec3): PlanPoint {
  const way = subtract(endMm, outlet);
  const reach = measurePlanLength(way);
  const share = reach > 0 ? Math.min(ASIDE_MM, reach / 2) / reach : 0;
  return { x: outlet.x + way.x * share, y: outlet.y + way.y * share };
}
