import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import { freeId } from "../design/freeId";
import type { HeldWater, Port, Tank } from "../design/plumbing";
import { listPortEnds } from "../design/portEnds";
import { toResizeEdit } from "../design/resizeTank";
import { GIVES_MM, measureLegIn } from "../fit/clashes";
import { clearPort } from "../fit/clearPort";
import { listOwnLegs } from "../fit/lineLegs";
import { toBlock } from "../fit/obstacleBlock";
import { findClearance, toTankBlock } from "../fit/obstacleGaps";
import { listTankHinders } from "../fit/tankHinders";
import { measureBlockGap } from "../geometry/blocks";
import { measureExtent, toPrism } from "../geometry/solid";
import { add, subtract, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import { seatPort } from "../templates/seatPort";
import { listPartings } from "./dumpLineEdits";

type Size = { readonly lengthMm: number; readonly widthMm: number; readonly heightMm: number };

/** A tank as it is hung first, inside, mm: the largest of these that finds a place between what is there [T]. */
const SIZES: readonly Size[] = [
  { lengthMm: 800, widthMm: 450, heightMm: 200 },
  { lengthMm: 600, widthMm: 400, heightMm: 180 },
  { lengthMm: 500, widthMm: 300, heightMm: 150 },
  { lengthMm: 400, widthMm: 240, heightMm: 120 },
];
const WALL_MM = 6;
/** Room between two tanks and to the floor, mm [T]. */
const ROOM_MM = 20;
const STEP_MM = 50;
/** How far below the floor its top hangs, mm: room for drains to fall and to come in; nearer where there is no other way. */
const BELOW_MM = [140, 100, 60, ROOM_MM] as const;

/**
 * Edit that hangs a box tank under the floor where it keeps clear of what is there, of pipes where there is such a place too,
 * nearest to the middle of the rig or to a place given,
 * with an inlet, and an outlet at the bottom; it still wants a breather. Where no place is clear the smallest hangs in
 * the middle, and the findings say what it hits.
 */
export function buildAddTank(design: Design, holds: HeldWater, name: string, near: Vec3 | null = null): Edit {
  const id = freeId(holds, design.tanks);
  const hang = (size: Size, atMm: Vec3): Tank => ({
    id,
    name,
    holds,
    atMm,
    solid: { shape: "box", ...size },
    wallMm: WALL_MM,
    material: "polyethylene",
    insulationMm: 0,
    sender: null,
    fixing: null,
    link: null,
    ports: [
      ...(holds === "fresh" ? [] : [placePort(design, size, holds === "black" ? 71.2 : 36.4)]),
      createPort({
        id: "dump",
        kind: "outlet",
        atMm: vec(0, size.widthMm / 2, 0),
        boreMm: holds === "black" ? 71.2 : 38,
      }),
    ],
  });
  const smallest = SIZES.at(-1)!;
  let value = hang(smallest, toMiddle(design, smallest));
  search: for (const size of SIZES) {
    for (const belowMm of BELOW_MM) {
      const atMm = findFreePlace(design, size, belowMm, near);
      if (!atMm) continue;
      value = hang(size, atMm);
      break search;
    }
  }
  return {
    code: "addTank",
    at: { kind: "tank", id },
    ops: [{ op: "insert", path: ["tanks"], index: design.tanks.length, value }],
  };
}

const placePort = (design: Design, { lengthMm, widthMm, heightMm }: Size, boreMm: number): Port =>
  createPort({
    id: freeId(
      "inlet",
      design.tanks.flatMap(({ ports }) => ports),
    ),
    kind: "inlet",
    atMm: vec(lengthMm, widthMm / 2, heightMm - boreMm),
    boreMm,
  });

const toMiddle = (design: Design, { lengthMm, widthMm, heightMm }: Size, belowMm: number = ROOM_MM): Vec3 =>
  vec(
    Math.round((design.rig.lengthMm - lengthMm) / 2),
    -widthMm / 2,
    -measureFloorMm(design) - belowMm - WALL_MM - heightMm,
  );

type Place = { readonly atMm: Vec3; readonly away: number };

function findFreePlace(design: Design, size: Size, belowMm: number, near: Vec3 | null): Vec3 | null {
  const { lengthMm, widthMm, sillZMm } = design.rig;
  const middle = toMiddle(design, size, belowMm);
  if (sillZMm !== null && middle.z - WALL_MM < sillZMm) return null;
  const taken = [
    ...listTankHinders(design).map((o) => ({
      block: toBlock(o),
      roomMm: Math.max(ROOM_MM, findClearance(design.rules, o).value ?? 0),
    })),
    ...design.tanks.map((tank) => ({ block: toTankBlock(tank), roomMm: ROOM_MM })),
  ];
  const wall = vec(WALL_MM, WALL_MM, WALL_MM);
  const legs = design.lines.flatMap((line) => listOwnLegs(design, line));
  let best: Place | null = null;
  let crossed: Place | null = null;
  for (let x = WALL_MM; x + size.lengthMm + WALL_MM <= lengthMm; x += STEP_MM) {
    for (let y = WALL_MM - widthMm / 2; y + size.widthMm + WALL_MM <= widthMm / 2; y += STEP_MM / 2) {
      const away = near
        ? Math.hypot(x + size.lengthMm / 2 - near.x, y + size.widthMm / 2 - near.y)
        : Math.hypot(x - middle.x, y - middle.y);
      if (best && away >= best.away) continue;
      const atMm = vec(x, y, middle.z);
      const inside = vec(size.lengthMm, size.widthMm, size.heightMm);
      const block = { min: subtract(atMm, wall), max: add(add(atMm, inside), wall) };
      if (taken.some((other) => measureBlockGap(block, other.block) < other.roomMm)) continue;
      if (legs.every((leg) => measureLegIn(leg, block) <= GIVES_MM)) best = { atMm, away };
      else if (!crossed || away < crossed.away) crossed = { atMm, away };
    }
  }
  return (best ?? crossed)?.atMm ?? null;
}
/** Edit that takes a tank away with its breathers and dump line; null where drains still end in it, or where it is not there. */
export function buildRemoveTank(design: Design, tankId: string): Edit | null {
  if (!design.tanks.some(({ id }) => id === tankId)) return null;
  if (design.lines.some((l) => l.kind === "drain" && l.to.kind === "inlet" && l.to.tankId === tankId)) return null;
  const own = design.lines.filter(
    (line) => (line.kind === "vent" || line.kind === "dumpLine") && line.fromTank === tankId,
  );
  const joined = design.lines.some(
    (line) =>
      line.kind === "vent" &&
      line.to.kind === "tee" &&
      own.some(({ id }) => line.to.kind === "tee" && line.to.lineId === id) &&
      line.fromTank !== tankId,
  );
  if (joined) return null;
  const ops: EditOp[] = [
    ...own.flatMap((line) => (line.kind === "dumpLine" ? listPartings(design, line.id) : [])),
    ...own.map(({ id }): EditOp => ({ op: "remove", path: ["lines", id] })),
    ...design.tanks
      .filter(({ link }) => link?.toTank === tankId)
      .map(({ id }): EditOp => ({ op: "set", path: ["tanks", id, "link"], value: null })),
    { op: "remove", path: ["tanks", tankId] },
  ];
  return { code: "removeTank", at: { kind: "rig" }, ops };
}

/** Kinds of port that are put in by hand; a breather's comes with the breather. */
export const ADDED_PORTS = ["inlet", "outlet", "fill", "draw", "hatch", "sender", "plug"] as const;
export type AddedPort = (typeof ADDED_PORTS)[number];

const USUAL_BORES: Readonly<Record<AddedPort, number>> = {
  inlet: 36.4,
  outlet: 38,
  fill: 38,
  draw: 38,
  hatch: 120,
  sender: 35,
  plug: 20,
};
/** A draw-off leaves what settles, mm over the bottom [T]. */
const DRAW_MM = 20;

/**
 * Edit that puts a port into a tank: an inlet or filling port high in the wall forward, a draw-off low in it, outlet and
 * plug at the bottom of the wall behind, hatch and sender in the top.
 */
export function buildAddPort(design: Design, tank: Tank, kind: AddedPort): Edit {
  const { min, max } = measureExtent(tank.solid);
  const boreMm = Math.min(USUAL_BORES[kind], (max.z - min.z) * 0.8, (max.y - min.y) * 0.8);
  const nth = tank.ports.filter((port) => port.kind === kind).length;
  const y = clamp((min.y + max.y) / 2 + nth * 80, min.y, max.y);
  const aside = clamp((min.y + max.y) / 2 - 90, min.y, max.y);
  const atMm = {
    inlet: vec(max.x, y, max.z - boreMm),
    fill: vec(max.x, aside, max.z - boreMm),
    draw: vec(max.x, y, Math.min(min.z + DRAW_MM, max.z - boreMm)),
    outlet: vec(min.x, y, min.z),
    plug: vec(min.x, aside, min.z),
    hatch: vec(min.x + (max.x - min.x) * 0.75, (min.y + max.y) / 2, max.z),
    // where the gauge sits, if there is one
    sender: tank.sender
      ? vec(tank.sender.xMm, tank.sender.yMm, max.z)
      : vec(min.x + (max.x - min.x) * 0.25, (min.y + max.y) / 2, max.z),
  }[kind];
  const hole = createPort({
    id: freeId(
      kind,
      design.tanks.flatMap(({ ports }) => ports),
    ),
    kind,
    atMm,
    boreMm,
  });
  const value = clearPort(tank, hole);
  return {
    code: "addPort",
    at: { kind: "port", tankId: tank.id, id: value.id },
    ops: [{ op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value }],
  };
}

/** Edit that takes a port out; null where a line still ends or begins there. */
export function buildRemovePort(design: Design, tankId: string, portId: string): Edit | null {
  const isUsed = design.lines.some((line) =>
    listPortEnds(line).some((end) => end.tankId === tankId && end.portId === portId),
  );
  if (isUsed) return null;
  return {
    code: "removePort",
    at: { kind: "tank", id: tankId },
    ops: [{ op: "remove", path: ["tanks", tankId, "ports", portId] }],
  };
}

export const TANK_SHAPES = ["box", "profile", "lyingAlong", "lyingAcross", "standing"] as const;
export type TankShape = (typeof TANK_SHAPES)[number];

/** The shape of a tank as a builder names it. */
export function findShape({ solid }: Pick<Tank, "solid">): TankShape {
  if (solid.shape === "box") return "box";
  if (solid.shape === "prism") return "profile";
  return solid.axis === "x" ? "lyingAlong" : solid.axis === "y" ? "lyingAcross" : "standing";
}

/** Edit that gives a tank another shape in the room it takes now; its ports stay on it. Null where it has that shape. */
export function buildReshape(tank: Tank, shape: TankShape): Edit | null {
  if (findShape(tank) === shape) return null;
  const { min, max } = measureExtent(tank.solid);
  const size = subtract(max, min);
  return buildRefill(tank, toShape(shape, { lengthMm: size.x, widthMm: size.y, heightMm: size.z }));
}

export const TANK_AXES = ["x", "y", "z"] as const;
export type TankAxis = (typeof TANK_AXES)[number];

/** Edit that lets a profile run along another axis of the rig; its ports stay on it. Null where it is none, or runs so. */
export function buildTurnProfile(tank: Tank, axis: TankAxis): Edit | null {
  const { solid } = tank;
  return solid.shape !== "prism" || solid.axis === axis ? null : buildRefill(tank, { ...solid, axis });
}

function buildRefill(tank: Tank, solid: Tank["solid"]): Edit {
  const [before, after] = [measureExtent(tank.solid), measureExtent(solid)];
  // as far along each side as it was
  const carry = (value: number, axis: "x" | "y" | "z") => {
    const [least, most] = [before.min[axis], before.max[axis]];
    return after.min[axis] + ((value - least) / (most - least)) * (after.max[axis] - after.min[axis]);
  };
  const ports = tank.ports.map((port) => {
    const boreMm = Math.min(port.boreMm, Math.min(after.max.x, after.max.y, after.max.z));
    const { x, y, z } = port.atMm;
    return seatPort({ solid }, { ...port, boreMm, atMm: vec(carry(x, "x"), carry(y, "y"), carry(z, "z")) });
  });
  return toResizeEdit(tank, solid, ports);
}

function toShape(shape: TankShape, { lengthMm, widthMm, heightMm }: Size): Tank["solid"] {
  const box = { shape: "box", lengthMm, widthMm, heightMm } as const;
  switch (shape) {
    case "box":
      return box;
    case "profile": {
      const prism = toPrism(box);
      return { ...prism, profileMm: [...prism.profileMm] };
    }
    case "lyingAlong":
      return { shape: "cylinder", axis: "x", lengthMm, diameterMm: Math.min(widthMm, heightMm) };
    case "lyingAcross":
      return { shape: "cylinder", axis: "y", lengthMm: widthMm, diameterMm: Math.min(lengthMm, heightMm) };
    case "standing":
      return { shape: "cylinder", axis: "z", lengthMm: heightMm, diameterMm: Math.min(lengthMm, widthMm) };
  }
}
