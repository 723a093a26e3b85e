import { measureExtent } from "../geometry/solid";
import { add, interpolate, subtract, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import type { Design } from "./design";
import type { Edit, EditOp, EditPath } from "./editOps";
import { leavesOverMm, measureFloorMm } from "./floor";
import { buildPutItems, findTrap } from "./lineItems";
import { listPoints } from "./linePoints";
import type { PartRef, RigLine } from "./part";
import type { Drain, Tank } from "./plumbing";

/** A thing that can be dragged: a part with a place, or the floor passage of a drain's leg. */
export type Movable = PartRef | { readonly kind: "passage"; readonly lineId: string; readonly index: number };

/** Rig coordinates, mm, a builder can type for a part; null for parts that have no place of their own. */
export function findPlaceMm(design: Design, part: Movable): Vec3 | null {
  switch (part.kind) {
    case "fixture":
      return design.fixtures.find((f) => f.id === part.id)?.outletMm ?? null;
    case "tank":
      return design.tanks.find((t) => t.id === part.id)?.atMm ?? null;
    case "axle": {
      const axle = design.rig.axles[part.index];
      return axle ? vec(axle.xMm, 0, design.rig.groundZMm) : null;
    }
    case "measure":
      return findRigLine(design, part.of);
    case "gear":
      return design.gear.find((g) => g.id === part.id)?.atMm ?? null;
    case "obstacle":
      return design.obstacles.find((o) => o.id === part.id)?.atMm ?? null;
    case "port": {
      const tank = design.tanks.find((t) => t.id === part.tankId);
      const port = tank?.ports.find((p) => p.id === part.id);
      return tank && port ? add(tank.atMm, port.atMm) : null;
    }
    case "bend":
      return listPoints(design.lines.find((l) => l.id === part.lineId))[part.index] ?? null;
    case "passage":
      return listPoints(design.lines.find((l) => l.id === part.lineId))[part.index - 1] ?? null;
    case "end":
      return findFreeEnd(design, part.lineId);
    case "leg": {
      const ends = findLegEnds(design, part);
      return ends && interpolate(ends.from, ends.to, 0.5);
    }
    default:
      return null;
  }
}

const RIG_LINE_KEYS = { ground: "groundZMm", sill: "sillZMm", waterline: "waterlineZMm" } as const;

// Each at the middle of the rig, but the front edge where it is.
function findRigLine({ rig }: Design, of: RigLine): Vec3 | null {
  if (of === "front") return vec(rig.lengthMm, 0, 0);
  const z = rig[RIG_LINE_KEYS[of]];
  return z === null ? null : vec(rig.lengthMm / 2, 0, z);
}

function findFreeEnd({ lines }: Design, lineId: string): Vec3 | null {
  const to = lines.find((line) => line.id === lineId)?.to;
  return to?.kind === "ground" || to?.kind === "vessel" ? to.atMm : null;
}

type LegEnds = {
  readonly from: Vec3;
  readonly to: Vec3;
  /** The tank and inlet the leg ends in; null where it ends at a bend. */
  readonly into: { readonly tank: Tank; readonly portId: string } | null;
};

/**
 * Both ends of a leg that can be moved as one: between two bends, or from the last bend into a tank that is not locked.
 * Null where an end is held, at the fixture or in another drain.
 */
function findLegEnds(
  { lines, tanks }: Design,
  { lineId, index }: { readonly lineId: string; readonly index: number },
): LegEnds | null {
  const line = lines.find((l) => l.id === lineId);
  const from = listPoints(line)[index - 1];
  if (!from || !line) return null;
  const bend = listPoints(line)[index];
  if (bend) return { from, to: bend, into: null };
  if (line.kind !== "drain" || line.to.kind !== "inlet") return null;
  const { tankId, portId } = line.to;
  const tank = tanks.find(({ id, locked }) => id === tankId && !locked);
  const port = tank?.ports.find(({ id }) => id === portId);
  return tank && port ? { from, to: add(tank.atMm, port.atMm), into: { tank, portId } } : null;
}

/**
 * Edit that puts a part at a place, mm in the rig frame, rounded to 0.1 mm. A tank takes its breather and dump line along, but for what is clipped to a wall, a fixture its
 * trap and stack, a leg the inlet it ends in, a passage both ends of its leg; a port stays within its tank. Null when the part has no place.
 */
export function buildMove(design: Design, part: Movable, toMm: Vec3): Edit | null {
  const from = findPlaceMm(design, part);
  if (!from) return null;
  const by = subtract(roundTenth(toMm), from);
  if (by.x === 0 && by.y === 0 && by.z === 0) return null;
  const at: PartRef = part.kind === "passage" ? { kind: "line", id: part.lineId } : part;
  return { code: part.kind === "leg" ? "moveLeg" : "move", at, ops: listMoveOps(design, part, from, by) };
}

function listMoveOps(design: Design, part: Movable, from: Vec3, by: Vec3): EditOp[] {
  const to = roundTenth(add(from, by));
  switch (part.kind) {
    case "fixture":
      return [
        set(["fixtures", part.id, "outletMm"], to),
        ...carryStack(design, part.id, by),
        ...keepHungTrap(design, part.id, by.z),
      ];
    case "axle":
      return [set(["rig", "axles", part.index, "xMm"], to.x)];
    case "measure":
      return part.of === "front" ? [set(["rig", "lengthMm"], to.x)] : [set(["rig", RIG_LINE_KEYS[part.of]], to.z)];
    case "gear":
      return [set(["gear", part.id, "atMm"], to)];
    case "obstacle":
      return [set(["obstacles", part.id, "atMm"], to)];
    case "tank":
      return [set(["tanks", part.id, "atMm"], to), ...carryLines(design, part.id, by)];
    case "port": {
      const tank = design.tanks.find((t) => t.id === part.tankId)!;
      return [set(["tanks", part.tankId, "ports", part.id, "atMm"], clampToTank(tank, subtract(to, tank.atMm)))];
    }
    case "bend": {
      const line = design.lines.find((l) => l.id === part.lineId)!;
      return [set(["lines", part.lineId, line.kind === "drain" ? "bendsMm" : "pointsMm", part.index], to)];
    }
    case "end":
      return [set(["lines", part.lineId, "to", "atMm"], to)];
    case "leg":
      return moveLeg(design, part, by);
    case "passage":
      return movePassage(design.lines.find((l) => l.id === part.lineId) as Drain, part.index, by);
    default:
      return [];
  }
}

// Both ends by the same, so that the leg keeps its fall; an inlet goes as far as its tank reaches, and the leg with it.
function moveLeg(design: Design, part: { readonly lineId: string; readonly index: number }, by: Vec3): EditOp[] {
  const ends = findLegEnds(design, part);
  if (!ends) return [];
  const { from, to, into } = ends;
  const bend = (index: number, at: Vec3) => set(["lines", part.lineId, "bendsMm", index], roundTenth(at));
  if (!into) return [bend(part.index - 1, add(from, by)), bend(part.index, add(to, by))];
  const { tank, portId } = into;
  const atMm = clampToTank(tank, roundTenth(subtract(add(to, by), tank.atMm)));
  const held = subtract(add(tank.atMm, atMm), to);
  return [bend(part.index - 1, add(from, held)), set(["tanks", tank.id, "ports", portId, "atMm"], atMm)];
}

// A passage is a leg: both its free ends move in plan and keep their heights.
function movePassage(drain: Drain, legIndex: number, by: Vec3): EditOp[] {
  return [legIndex - 1, legIndex].flatMap((bend) => {
    const point = drain.bendsMm[bend];
    if (!point) return [];
    return [set(["lines", drain.id, "bendsMm", bend], roundTenth(add(point, vec(by.x, by.y, 0))))];
  });
}

/** A drop this far from its fixture in plan belongs to the way and not to the fixture, mm. */
const STACK_MM = 450;

// Trap and stack go with their fixture: in plan as far as the foot of its first drop, in height what is over the floor.
function carryStack(design: Design, fixtureId: string, by: Vec3): EditOp[] {
  const fixture = design.fixtures.find(({ id }) => id === fixtureId)!;
  return design.lines.flatMap((line): EditOp[] => {
    if (line.kind !== "drain" || line.fromFixture !== fixtureId || line.locked) return [];
    const foot = findFoot(fixture.outletMm, line.bendsMm);
    return line.bendsMm.slice(0, foot + 1).map((bend, i) => {
      const isHead = i < foot || (foot === 0 && bend.z > 0);
      return set(
        ["lines", line.id, "bendsMm", i],
        roundTenth(add(bend, vec(by.x, by.y, isHead && bend.z > 0 ? by.z : 0))),
      );
    });
  });
}

// A trap under the floor stays there: its tailpiece gets longer or shorter.
function keepHungTrap(design: Design, fixtureId: string, byMm: number): EditOp[] {
  const { z } = design.fixtures.find(({ id }) => id === fixtureId)!.outletMm;
  const undersideMm = -measureFloorMm(design);
  return design.lines.flatMap((line): EditOp[] => {
    const trap = line.kind === "drain" && line.fromFixture === fixtureId && !line.locked ? findTrap(line) : null;
    if (!trap || line.kind !== "drain" || byMm === 0) return [];
    const dropMm = tenth(trap.dropMm + byMm);
    const isHung = !leavesOverMm(z - trap.dropMm - HAIR_MM, line.pipe, undersideMm);
    return isHung && dropMm >= 0 && dropMm <= MOST_DROP_MM ? [buildPutItems(line, { trap: { ...trap, dropMm } })] : [];
  });
}

/** Two heights as near as this are one, mm. */
const HAIR_MM = 0.5;
/** A tailpiece is no longer than the schema lets a trap be, mm. */
const MOST_DROP_MM = 500;

// The bend at which the first drop ends; −1 where the drain runs off at once.
function findFoot(outletMm: Vec3, bends: readonly Vec3[]): number {
  for (const [i, bend] of bends.entries()) {
    const before = bends[i - 1] ?? outletMm;
    const asideMm = Math.hypot(bend.x - before.x, bend.y - before.y);
    if (Math.hypot(bend.x - outletMm.x, bend.y - outletMm.y) > STACK_MM) return -1;
    if (before.z - bend.z > asideMm && (i > 0 || asideMm < 1)) return i;
  }
  return -1;
}

function carryLines({ rig, lines }: Design, tankId: string, by: Vec3): EditOp[] {
  const isNear = (value: number, wall: number) => Math.abs(value - wall) <= AT_WALL_MM;
  // what goes up a wall or ends at a side stays at it
  const carry = ({ x, y, z }: Vec3): Vec3 => {
    const isAtEnd = isNear(x, 0) || isNear(x, rig.lengthMm);
    return roundTenth(vec(isAtEnd ? x : x + by.x, isNear(Math.abs(y), rig.widthMm / 2) ? y : y + by.y, z));
  };
  return lines.flatMap((line) => {
    if ((line.kind !== "vent" && line.kind !== "dumpLine") || line.fromTank !== tankId) return [];
    return [set(["lines", line.id, "pointsMm"], line.pointsMm.map(carry))];
  });
}

/** As near to a wall as this a pipe is clipped to it, mm [T]. */
const AT_WALL_MM = 60;

function clampToTank(tank: Tank, at: Vec3): Vec3 {
  const { min, max } = measureExtent(tank.solid);
  return vec(clamp(at.x, min.x, max.x), clamp(at.y, min.y, max.y), clamp(at.z, min.z, max.z));
}

/** Millimetres to a tenth: finer than any tape. */
export const roundTenth = (p: Vec3): Vec3 => vec(tenth(p.x), tenth(p.y), tenth(p.z));

const tenth = (value: number): number => Math.round(value * 10) / 10 + 0;

const set = (path: EditPath, value: unknown): EditOp => ({ op: "set", path, value });
