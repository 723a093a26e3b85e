import { type Extent, measureExtent } from "../geometry/solid";
import { clamp } from "../quantity/tolerance";
import type { Edit, EditOp } from "./editOps";
import { roundTenth } from "./moves";
import type { Tank } from "./plumbing";

/** Edit that gives a box tank new inside lengths, mm; ports on a wall stay on that wall, the others stay inside. */
export function buildResize(tank: Tank, size: { lengthMm?: number; widthMm?: number; heightMm?: number }): Edit {
  const before = measureExtent(tank.solid).max;
  const solid = { ...tank.solid, ...size };
  const after = measureExtent(solid as Tank["solid"]).max;
  // on the wall that moves, with it; else where it is, but with all of its bore on what is left of its wall
  const follow = (axis: "x" | "y", value: number, rimMm: number) => {
    if (value >= before[axis] - WALL_MM) return after[axis];
    return after[axis] >= before[axis] ? value : Math.min(value, Math.max(after[axis] / 2, after[axis] - rimMm));
  };
  const ports = tank.ports.map((port) => {
    const { x, y, z } = port.atMm;
    const rimMm = port.boreMm / 2;
    const isOnTop = z >= before.z - WALL_MM;
    const kept = clampBelow(z, before.z, after.z);
    // a side's hole stands over its invert
    const most = isOnTop || after.z >= before.z ? after.z : Math.max(0, after.z - port.boreMm);
    return { ...port, atMm: { x: follow("x", x, rimMm), y: follow("y", y, rimMm), z: Math.min(kept, most) } };
  });
  return toResizeEdit(tank, solid as Tank["solid"], ports);
}

/**
 * Edit that takes so much, mm, off the near end of a box tank or off its right side: its corner, from which it is told, comes in, and
 * what does not sit on that wall keeps its place. Of another shape nothing is taken.
 */
export function buildTakeOffNear(tank: Tank, axis: "x" | "y", mm: number): Edit {
  const key = axis === "x" ? "lengthMm" : "widthMm";
  const solid = tank.solid.shape === "box" ? { ...tank.solid, [key]: tank.solid[key] - mm } : tank.solid;
  if (solid === tank.solid) return toResizeEdit(tank, solid, tank.ports);
  const ports = tank.ports.map((port) => {
    const value = port.atMm[axis];
    const kept = value <= WALL_MM ? 0 : Math.max(value - mm, port.boreMm / 2);
    return { ...port, atMm: { ...port.atMm, [axis]: kept } };
  });
  const edit = toResizeEdit(tank, solid, ports);
  const value = roundTenth({ ...tank.atMm, [axis]: tank.atMm[axis] + mm });
  return { ...edit, ops: [...edit.ops, { op: "set", path: ["tanks", tank.id, "atMm"], value }] };
}

/** Edit that gives a tank another inside and other ports; its gauge stays in it and its bolts at its ends. */
export const toResizeEdit = (tank: Tank, solid: Tank["solid"], ports: Tank["ports"]): Edit => ({
  code: "resize",
  at: { kind: "tank", id: tank.id },
  ops: [
    { op: "set", path: ["tanks", tank.id, "solid"], value: solid },
    { op: "set", path: ["tanks", tank.id, "ports"], value: ports },
    ...carryBeside(tank, measureExtent(solid)),
  ],
});

// What is told from the tank's own corner, besides its ports.
function carryBeside({ id, solid, sender, fixing }: Tank, after: Extent): EditOp[] {
  const before = measureExtent(solid);
  // from the end it is nearer to
  const keep = (axis: "x" | "y" | "z", value: number) =>
    value > (before.min[axis] + before.max[axis]) / 2 ? value + after.max[axis] - before.max[axis] : value;
  const within = (axis: "x" | "y" | "z", value: number) => clamp(keep(axis, value), after.min[axis], after.max[axis]);
  const kept = sender && {
    ...sender,
    xMm: within("x", sender.xMm),
    yMm: within("y", sender.yMm),
    highMm: Math.max(sender.lowMm + 1, within("z", sender.highMm)),
  };
  const placesMm = fixing?.placesMm?.map(({ x, y }) => ({ x: keep("x", x), y: keep("y", y) }));
  return [
    ...(kept ? [{ op: "set", path: ["tanks", id, "sender"], value: kept } as const] : []),
    ...(fixing && placesMm
      ? [{ op: "set", path: ["tanks", id, "fixing"], value: { ...fixing, placesMm } } as const]
      : []),
  ];
}

/** Nearer to a wall than this a port is on it, mm. */
const WALL_MM = 0.05;

// Ports keep their distance from the top when they are nearer to it, from the bottom otherwise.
function clampBelow(z: number, heightBefore: number, heightAfter: number): number {
  const kept = z > heightBefore / 2 ? heightAfter - (heightBefore - z) : z;
  return clamp(kept, 0, heightAfter);
}
