import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import { findInsulationMm } from "../design/lagging";
import type { Hose, Vent } from "../design/plumbing";
import { buildLeg, type Leg } from "../falls/drainPath";
import { GIVES_MM, goesThroughOwn, measureLegClash, measureLegIn } from "../fit/clashes";
import { listOwnLegs } from "../fit/lineLegs";
import { toBlock } from "../fit/obstacleBlock";
import { findClearance, measureGapsOf } from "../fit/obstacleGaps";
import { hindersPipes } from "../fit/roles";
import { listTankBlocks } from "../fit/tankBlocks";
import { isSetIn, toGearBlock } from "../gear/gearBlock";
import type { Block } from "../geometry/blocks";
import { interpolate, measureLength, subtract, type Vec3 } from "../geometry/vec";

/** Kept beside what it passes, mm [T]. */
const PAST_MM = 10;
/** A bend counts as so much pipe, mm [T]. */
const BEND_MM = 150;
/** Over the floor, where what came through it turns, mm [T]. */
const OVER_FLOOR_MM = 60;
/** What is as low as this lies on the floor, as near as this along a wall, mm; a piece that stands free in the room counts so often [T]. */
const AT_FLOOR_MM = 200;
const AT_WALL_MM = 200;
const IN_ROOM = 2;
/** Bends this near to each other are none, mm. */
const SAME_MM = 1;

type Axis = "x" | "y" | "z";
const AXES = ["x", "y", "z"] as const;
const ORDERS = [
  ["x", "y", "z"],
  ["x", "z", "y"],
  ["y", "x", "z"],
  ["y", "z", "x"],
  ["z", "x", "y"],
  ["z", "y", "x"],
] as const;

/**
 * Ways of a hose or a breather between two points, by its middle line, whose pieces lie along the rig, across it or upright, clear of
 * all that stands on it and of the builder's own parts; the shortest first, a bend counting as 150 mm and what stands free in the room
 * twice. Each goes out of its way in one
 * direction at most, past one face of what is there. Without the two ends. Source: geometry [C]; what a bend is worth [T].
 */
export function listSquareWays(design: Design, line: Hose | Vent, from: Vec3, to: Vec3, most: number): Vec3[][] {
  const isFree = toTest(design, line);
  const turns = listTurns(design, line);
  const courses = [
    ...ORDERS.map((order) => walk(from, to, order)),
    ...AXES.flatMap((axis) => turns[axis].flatMap((mm) => listDetours(from, to, axis, mm))),
  ].map((course) => dropStraight(course));
  // orders that differ only in what they do not do are one way
  const apart = [...new Map(courses.map((course) => [JSON.stringify(course), course])).values()];
  const sorted = apart
    .map((course) => ({ course, costMm: measureCost(design, course) + BEND_MM * course.length }))
    .sort((a, b) => a.costMm - b.costMm);
  const ways: Vec3[][] = [];
  for (const { course } of sorted) {
    if (ways.length === most) break;
    if (isFree(course)) ways.push(course.slice(1, -1));
  }
  return ways;
}

// One axis after the other.
function walk(from: Vec3, to: Vec3, order: readonly Axis[]): Vec3[] {
  const course = [from];
  for (const axis of order) course.push({ ...course.at(-1)!, [axis]: to[axis] });
  return course;
}

// First out of the way along one axis, then the other two, and back in at the end.
function listDetours(from: Vec3, to: Vec3, axis: Axis, mm: number): Vec3[][] {
  const others = AXES.filter((one) => one !== axis);
  const out = { ...from, [axis]: mm };
  return [others, [...others].reverse()].map((order) => [from, ...walk(out, to, [...order, axis])]);
}

// Neither points in one place nor such as lie on the way anyhow.
function dropStraight(course: readonly Vec3[]): Vec3[] {
  const apart = course.filter((p, i) => i === 0 || measureLength(subtract(p, course[i - 1]!)) > SAME_MM);
  return apart.filter((p, i) => {
    const [before, after] = [apart[i - 1], apart[i + 1]];
    return !before || !after || AXES.filter((axis) => before[axis] === p[axis] && p[axis] === after[axis]).length < 2;
  });
}

const measureCost = (design: Design, course: readonly Vec3[]): number =>
  course.slice(1).reduce((sum, p, i) => {
    const lengthMm = measureLength(subtract(p, course[i]!));
    return sum + lengthMm * (standsInRoom(design, course[i]!, p) ? IN_ROOM : 1);
  }, 0);

// Over the floor with nothing to be clipped to.
function standsInRoom({ rig: { lengthMm, widthMm } }: Design, a: Vec3, b: Vec3): boolean {
  const middle = interpolate(a, b, 0.5);
  const toWallMm = Math.min(
    a.y === b.y ? widthMm / 2 - Math.abs(a.y) : Number.POSITIVE_INFINITY,
    a.x === b.x ? Math.min(a.x, lengthMm - a.x) : Number.POSITIVE_INFINITY,
  );
  return middle.z > AT_FLOOR_MM && toWallMm > AT_WALL_MM;
}

const listPartBlocks = ({ tanks, gear }: Design): Block[] => [
  ...tanks.flatMap(listTankBlocks),
  ...gear.filter((piece) => !isSetIn(piece)).map(toGearBlock),
];

// Where it may turn: just past each face of what is there, and on both sides of the floor.
function listTurns(design: Design, line: Hose | Vent): Readonly<Record<Axis, readonly number[]>> {
  const half = line.pipe.outerMm / 2 + findInsulationMm(line);
  const faces = [
    ...listPartBlocks(design).map((block) => ({ block, roomMm: half + PAST_MM })),
    ...design.obstacles
      .filter(({ kind }) => hindersPipes(kind))
      .map((one) => ({ block: toBlock(one), roomMm: half + PAST_MM + (findClearance(design.rules, one).value ?? 0) })),
  ];
  const floor = [OVER_FLOOR_MM, -measureFloorMm(design) - half - PAST_MM];
  const listOf = (axis: Axis) => {
    const all = faces.flatMap(({ block, roomMm }) => [block.min[axis] - roomMm, block.max[axis] + roomMm]);
    return [...new Set([...all, ...(axis === "z" ? floor : [])].map(Math.round))];
  };
  return { x: listOf("x"), y: listOf("y"), z: listOf("z") };
}

// Soft hoses are led past pumps and pipes by hand; only tanks and what stands on the rig stop them.
function toTest(design: Design, line: Hose | Vent): (course: readonly Vec3[]) => boolean {
  const ownIds = line.kind === "hose" ? [line.from, line.to] : [{ tankId: line.fromTank }];
  const own = design.tanks.filter(({ id }) => ownIds.some((end) => "tankId" in end && end.tankId === id));
  const others = design.tanks.filter((tank) => !own.includes(tank)).flatMap(listTankBlocks);
  const gear = line.kind === "hose" ? [] : design.gear.filter((piece) => !isSetIn(piece)).map(toGearBlock);
  const pipes =
    line.kind === "hose"
      ? []
      : design.lines.flatMap((one) => (one.kind === "hose" || one.id === line.id ? [] : listOwnLegs(design, one)));
  const isLegFree = (leg: Leg): boolean =>
    [...others, ...gear].every((block) => measureLegIn(leg, block) <= GIVES_MM) &&
    own.every((tank) => !goesThroughOwn(leg, tank)) &&
    measureGapsOf(design, leg, line.kind === "hose").every(
      ({ obstacle, gapMm }) => gapMm >= (findClearance(design.rules, obstacle).value ?? 0),
    ) &&
    pipes.every((other) => measureLegClash(leg, other, []) <= GIVES_MM);
  const lower = (p: Vec3): Vec3 => ({ ...p, z: p.z - line.pipe.innerMm / 2 });
  return (course) =>
    course
      .slice(1)
      .every((to, index) =>
        isLegFree(
          buildLeg(
            lower(course[index]!),
            lower(to),
            { lineId: line.id, index, pipe: line.pipe, inflowLps: 0, surgeLps: 0 },
            findInsulationMm(line),
          ),
        ),
      );
}
