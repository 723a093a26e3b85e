import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import { freeId } from "../design/freeId";
import type { Drain, Fixture, Port, Tank } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork, followDrain, type Network } from "../falls/network";
import { clearPort } from "../fit/clearPort";
import { measureExtent } from "../geometry/solid";
import { add, interpolate, measureLength, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import { listLevelGroup } from "../tanks/linkedTanks";
import { listServed } from "../tanks/portPlace";

/** In front of a side inlet the pipe runs straight, mm [T]. */
const STRAIGHT_MM = 120;
/** At most so many places along other drains are tried, the nearest first. */
const MOST_JOINS = 6;
/** A run is offered as a place to join about this often, mm. */
const JOIN_EVERY_MM = 450;

/** One drain that is to be led to one end. */
export type Task = {
  readonly design: Design;
  readonly drain: Drain;
  readonly fixture: Fixture;
  readonly end: End;
};

/** Where a way may end, with the invert it comes to. */
export type End =
  | {
      readonly kind: "inlet";
      readonly tank: Tank;
      readonly port: Port;
      readonly atMm: Vec3;
      /** The wall its inlet is moved to; null where it stays. */
      readonly wall: Wall | null;
      /** It is not there yet. */
      readonly isNew: boolean;
    }
  | { readonly kind: "join"; readonly main: Drain; readonly atMm: Vec3 };

/** Where along a wall an inlet is tried that is not drilled yet, as shares of it: its middle, and beside that. */
const MIDDLE = [0.5] as const;
const BESIDE = [0.2, 0.8] as const;

/** Where a way may end: free inlets, in any wall where they are not drilled yet, and other drains that run there. */
export const listEnds = (design: Design, drain: Drain, fixture: Fixture): End[] =>
  findEnds(design, drain, fixture, MIDDLE);

/** More places for an inlet, for a drain that found no way to those. */
export const listEndsBeside = (design: Design, drain: Drain, fixture: Fixture): End[] =>
  findEnds(design, drain, fixture, BESIDE).filter((end) => end.kind === "inlet" && end.wall !== null);

function findEnds(design: Design, drain: Drain, { outletMm }: Fixture, shares: readonly number[]): End[] {
  const network = buildNetwork(design);
  const chosen = listChosen(design, network, drain);
  const inlets = chosen.flatMap((tank) =>
    tank.ports
      .filter((port) => port.kind === "inlet" && isOpenTo(design, drain, tank, port))
      .flatMap((port): End[] => placeInlets(tank, port, isFreeToMove(design, drain, tank, port), shares)),
  );
  // only where none stands free another is drilled
  if (inlets.length === 0)
    inlets.push(...chosen.flatMap((tank) => placeNewInlets(design, tank, drain.pipe.innerMm, shares)));
  const joins = [...network.drains.values()].flatMap((main): Extract<End, { kind: "join" }>[] => {
    const chain = followDrain(network, main);
    const { to } = chain.at(-1)!;
    const endsThere = to.kind === "inlet" && chosen.some(({ id }) => id === to.tankId);
    return !endsThere || chain.some(({ id }) => id === drain.id)
      ? []
      : listJoins(design, main).map((atMm) => ({ kind: "join", main, atMm }));
  });
  const away = ({ atMm }: End) => measurePlanLength(subtract(atMm, outletMm));
  return [...inlets, ...joins.sort((a, b) => away(a) - away(b)).slice(0, MOST_JOINS)];
}

// The tank the drain was given, and those that share its level.
function listChosen(design: Design, network: Network, drain: Drain): Tank[] {
  const { to } = followDrain(network, drain).at(-1)!;
  const tank = to.kind === "inlet" ? network.tanks.get(to.tankId) : undefined;
  return tank ? listLevelGroup(design, tank) : [];
}

function placeNewInlets(design: Design, tank: Tank, wantedMm: number, shares: readonly number[]): End[] {
  const { min, max } = measureExtent(tank.solid);
  const boreMm = Math.min(wantedMm, (max.z - min.z) * 0.8);
  const ids = design.tanks.flatMap(({ ports }) => ports);
  const atMm = vec(max.x, (min.y + max.y) / 2, max.z - boreMm);
  const port = createPort({ id: freeId("inlet", ids), kind: "inlet", atMm, boreMm });
  return placeInlets(tank, port, true, shares).map((end) =>
    end.kind === "inlet" ? { ...end, wall: end.wall ?? "front", isNew: true } : end,
  );
}

// An inlet takes one pipe: one that serves another drain is no end for this one.
const isOpenTo = (design: Design, drain: Drain, tank: Tank, port: Port): boolean =>
  listServed(design, tank.id, port.id).every(({ id }) => id === drain.id);

/** The walls of a tank as a builder names them. */
export const WALLS = ["front", "rear", "left", "right"] as const;
export type Wall = (typeof WALLS)[number];

// An inlet that only this drain comes to is not drilled yet: it may as well sit in another wall.
const isFreeToMove = (design: Design, drain: Drain, tank: Tank, port: Port): boolean =>
  drain.to.kind === "inlet" &&
  drain.to.tankId === tank.id &&
  drain.to.portId === port.id &&
  !tank.locked &&
  !design.lines.some(
    (line) => line.kind === "drain" && line.id !== drain.id && line.to.kind === "inlet" && line.to.portId === port.id,
  );

function placeInlets(tank: Tank, port: Port, isFree: boolean, shares: readonly number[]): End[] {
  // one that is not drilled yet keeps clear of the holes beside it
  const here = isFree ? clearPort(tank, port) : port;
  const stay: End = { kind: "inlet", tank, port: here, atMm: add(tank.atMm, here.atMm), wall: null, isNew: false };
  if (!isFree || tank.solid.shape !== "box") return [stay];
  const { min, max } = measureExtent(tank.solid);
  const z = Math.min(port.atMm.z, max.z - port.boreMm);
  const along = (axis: "x" | "y", share: number) => min[axis] + share * (max[axis] - min[axis]);
  const places = (share: number) => ({
    front: vec(max.x, along("y", share), z),
    rear: vec(min.x, along("y", share), z),
    left: vec(along("x", share), max.y, z),
    right: vec(along("x", share), min.y, z),
  });
  return [
    stay,
    ...WALLS.flatMap((wall) => shares.map((share) => ({ wall, atMm: places(share)[wall] }))).flatMap(
      ({ wall, atMm }): End[] => {
        if (measureLength(subtract(atMm, port.atMm)) < STRAIGHT_MM) return [];
        const moved = clearPort(tank, { ...port, atMm });
        return [{ kind: "inlet", tank, port: moved, atMm: add(tank.atMm, moved.atMm), wall, isNew: false }];
      },
    ),
  ];
}

// Places along the runs of a drain under the floor: its bends, and points between them where the run is long.
function listJoins(design: Design, main: Drain): Vec3[] {
  const underMm = findUndersideMm(design, main);
  return buildDrainPath(design, main).ownLegs.flatMap((leg) => {
    if (leg.kind === "drop" || leg.to.z > underMm || leg.planLengthMm < 2 * STRAIGHT_MM) return [];
    const count = Math.max(1, Math.round(leg.planLengthMm / JOIN_EVERY_MM));
    return Array.from({ length: count }, (_, i) => interpolate(leg.from, leg.to, (i + 0.5) / count));
  });
}
// Which way a side inlet looks, as long as the straight before it; null for one in the top.
export function findFacing(tank: Tank, port: Port): Vec3 | null {
  const { min, max } = measureExtent(tank.solid);
  if (port.atMm.z >= max.z - 1) return null;
  const sides = [
    { gap: port.atMm.x - min.x, way: vec(-STRAIGHT_MM, 0, 0) },
    { gap: max.x - port.atMm.x, way: vec(STRAIGHT_MM, 0, 0) },
    { gap: port.atMm.y - min.y, way: vec(0, -STRAIGHT_MM, 0) },
    { gap: max.y - port.atMm.y, way: vec(0, STRAIGHT_MM, 0) },
  ];
  return sides.reduce((a, b) => (b.gap < a.gap ? b : a)).way;
}
// The invert of a pipe that lies right under the floor.
export const findUndersideMm = (design: Design, { pipe, insulationMm = 0 }: Drain): number =>
  -measureFloorMm(design) - pipe.outerMm - Math.max(5, insulationMm);
