import type { Surroundings } from "../design/design";
import { measureFloorMm } from "../design/floor";
import { type DrilledHole, listDrilledHoles } from "../design/lineItems";
import type { Obstacle } from "../design/rig";
import type { DrainPath, Leg } from "../falls/drainPath";
import { add, interpolate, scale, subtract, type Vec3, vec } from "../geometry/vec";
import { createRecall } from "../quantity/recall";
import { computeFloorHole, computeWallHole, type Hole } from "./holeSize";
import { toBlock } from "./obstacleBlock";
import { findRole } from "./roles";
import { isOnFace, listSides } from "./sides";

/** A place where a drain goes through the floor, a wall, a bulkhead or the side of a cabinet. */
export type Passage = {
  readonly lineId: string;
  readonly legIndex: number;
  /** Counted along the leg. */
  readonly nth: number;
  readonly through: "floor" | "panel";
  /** The wall or cabinet; null for the floor. */
  readonly panel: Obstacle | null;
  readonly atMm: Vec3;
  /** Where the middle of the pipe meets both faces: the finished floor and its underside, or the wall's two sides. */
  readonly facesMm: readonly [Vec3, Vec3];
  readonly thicknessMm: number;
  /** How steeply the pipe goes through: to the floor, or to the line square to a panel. */
  readonly angleRad: number;
  /** The hole it needs, with room to seal. */
  readonly hole: Hole;
  /** A round hole that is there already; null where none is drilled. */
  readonly drilledMm: number | null;
  /** The frame, rail or other solid nearest to the edge of the hole; null where none is near. */
  readonly nearest: { readonly obstacle: Obstacle; readonly gapMm: number } | null;
  /** What the drill comes to beyond, and how far, mm. */
  readonly behind: { readonly obstacle: Obstacle; readonly clearMm: number } | null;
  readonly drillFrom: "above" | "below" | "either";
};

/** A drill with its bit wants this much room behind it, mm [T]. */
const DRILL_ROOM_MM = 250;
/** What lies so near under the floor carries it, packing and tolerance counted, mm; lower things are behind the drill [T]. */
const TOUCHES_MM = 40;
/** Nothing further off matters to a hole, mm. */
const NEAR_MM = 300;

/**
 * Every crossing of the finished floor, of a wall or bulkhead and of a cabinet's side by a drain's own legs, with the
 * hole it needs with `clearanceMm` ≥ 0 all round, the nearest solid, what lies behind, and from where to drill.
 * Source: geometry [C]; sides to drill from and the room a drill wants [T].
 */
export const listPassages = (design: Surroundings, { drain, ownLegs }: DrainPath, clearanceMm: number): Passage[] =>
  listLegPassages(design, drain.id, ownLegs, listDrilledHoles(drain), clearanceMm);

/** The same for the legs of any line, with the holes that are drilled for it already. */
export function listLegPassages(
  design: Surroundings,
  lineId: string,
  legs: readonly Leg[],
  holes: readonly DrilledHole[],
  clearanceMm: number,
): Passage[] {
  const floorMm = measureFloorMm(design);
  return legs.flatMap((leg, legIndex) =>
    listCrossings(design, leg, floorMm, clearanceMm).map(
      (crossing, nth): Passage => ({
        lineId,
        legIndex,
        nth,
        drilledMm: holes.find((hole) => hole.leg === legIndex && hole.nth === nth)?.diameterMm ?? null,
        ...crossing,
      }),
    ),
  );
}

const listCrossings = (design: Surroundings, leg: Leg, floorMm: number, clearanceMm: number): readonly Crossing[] =>
  recallCrossings(leg.from, [leg, design.obstacles, floorMm, clearanceMm], () => [
    ...crossFloor(design, leg, floorMm, clearanceMm),
    ...crossPanels(design, leg, clearanceMm),
  ]);

const recallCrossings = createRecall<Vec3, readonly Crossing[]>();

type Crossing = Omit<Passage, "lineId" | "legIndex" | "nth" | "drilledMm">;

function crossFloor(design: Surroundings, leg: Leg, floorMm: number, clearanceMm: number): Crossing[] {
  if (leg.from.z > 0 === leg.to.z > 0) return [];
  const share = leg.from.z / (leg.from.z - leg.to.z);
  const angleRad = Math.atan2(Math.abs(leg.from.z - leg.to.z), leg.planLengthMm);
  const hole = computeFloorHole(leg.pipe.outerMm, angleRad, floorMm, clearanceMm);
  const atMm = interpolate(leg.from, leg.to, share);
  const below = findBeyond(design, atMm, hole, { z: -1, fromMm: -floorMm });
  const above = findBeyond(design, atMm, hole, { z: 1, fromMm: 0 });
  const roomBelowMm = below?.clearMm ?? Infinity;
  return [
    {
      through: "floor",
      panel: null,
      atMm,
      facesMm: [meetLevel(leg, 0), meetLevel(leg, -floorMm)],
      thicknessMm: floorMm,
      angleRad,
      hole,
      nearest: findNearest(design, atMm, hole, -floorMm),
      behind: below,
      // from above the chips fall away; from below only where something stands over the hole
      drillFrom:
        (above?.clearMm ?? Infinity) >= DRILL_ROOM_MM ? "above" : roomBelowMm >= DRILL_ROOM_MM ? "below" : "above",
    },
  ];
}

/** Two points that are so near each other are one, mm. */
const NOTHING_MM = 1e-9;

// The middle of the pipe, half a bore off its invert square to its run, where it comes to a height.
function meetLevel(leg: Leg, z: number): Vec3 {
  const along = subtract(leg.to, leg.from);
  const plan = leg.planLengthMm;
  const off =
    plan === 0
      ? vec(0, 0, 0)
      : scale(vec(-along.x * along.z, -along.y * along.z, plan ** 2), leg.pipe.innerMm / 2 / (plan * leg.lengthMm));
  const from = add(leg.from, off);
  const share = Math.abs(along.z) < NOTHING_MM ? 0 : (z - from.z) / along.z;
  return vec(from.x + along.x * share, from.y + along.y * share, z);
}

// From where it crosses a panel on along its run, by so much square to the panel.
function goAlong(leg: Leg, at: Vec3, axis: Axis, byMm: number): Vec3 {
  const along = subtract(leg.to, leg.from);
  return Math.abs(along[axis]) < NOTHING_MM ? at : add(at, scale(along, byMm / along[axis]));
}

type Beyond = NonNullable<Passage["behind"]>;

// The first solid over or under a hole.
function findBeyond(
  design: Surroundings,
  at: Vec3,
  { lengthMm }: Hole,
  { z, fromMm }: { readonly z: 1 | -1; readonly fromMm: number },
): Beyond | null {
  let nearest: Beyond | null = null;
  for (const obstacle of design.obstacles) {
    if (findRole(obstacle.kind) === "opening" || findRole(obstacle.kind) === "cabinet") continue;
    const { min, max } = toBlock(obstacle);
    const half = lengthMm / 2;
    if (at.x + half < min.x || at.x - half > max.x || at.y + half < min.y || at.y - half > max.y) continue;
    const clearMm = z < 0 ? fromMm - max.z : min.z - fromMm;
    const isOnThatSide = z < 0 ? min.z < fromMm : max.z > fromMm;
    if (isOnThatSide && (!nearest || clearMm < nearest.clearMm)) nearest = { obstacle, clearMm: Math.max(0, clearMm) };
  }
  return nearest;
}

// Beside the hole, at the height of the floor: a frame or rail that touches the floor's underside.
function findNearest(design: Surroundings, at: Vec3, { lengthMm }: Hole, undersideMm: number): Passage["nearest"] {
  let nearest: Passage["nearest"] = null;
  for (const obstacle of design.obstacles) {
    if (findRole(obstacle.kind) !== "solid") continue;
    const { min, max } = toBlock(obstacle);
    if (max.z < undersideMm - TOUCHES_MM || min.z > 0) continue;
    const dx = Math.max(min.x - at.x, at.x - max.x, 0);
    const dy = Math.max(min.y - at.y, at.y - max.y, 0);
    const gapMm = Math.hypot(dx, dy) - lengthMm / 2;
    if (gapMm < NEAR_MM && (!nearest || gapMm < nearest.gapMm)) nearest = { obstacle, gapMm };
  }
  return nearest;
}

const AXES = ["x", "y", "z"] as const;
type Axis = (typeof AXES)[number];

function crossPanels(design: Surroundings, leg: Leg, clearanceMm: number): Crossing[] {
  const crossings: { readonly share: number; readonly crossing: Crossing }[] = [];
  for (const obstacle of design.obstacles) {
    for (const { axis, atMm: planeMm, thicknessMm } of listSides(obstacle)) {
      const share = crossPlane(leg, axis, planeMm);
      if (share === null) continue;
      const at = interpolate(leg.from, leg.to, share);
      const axisAt = vec(at.x, at.y, at.z + leg.pipe.innerMm / 2);
      if (!isOnFace(axisAt, obstacle, axis)) continue;
      const along = Math.abs(leg.to[axis] - leg.from[axis]);
      const angleRad = Math.acos(Math.min(1, along / Math.max(1e-9, leg.lengthMm)));
      const hole = computeWallHole(leg.pipe.outerMm, angleRad, thicknessMm, clearanceMm);
      crossings.push({
        share,
        crossing: {
          through: "panel",
          panel: obstacle,
          atMm: axisAt,
          facesMm: [-1, 1].map((side) => goAlong(leg, axisAt, axis, (side * thicknessMm) / 2)) as [Vec3, Vec3],
          thicknessMm,
          angleRad,
          hole,
          nearest: findEdge(axisAt, obstacle, axis, hole),
          behind: null,
          drillFrom: "either",
        },
      });
    }
  }
  return crossings.sort((a, b) => a.share - b.share).map(({ crossing }) => crossing);
}

function crossPlane(leg: Leg, axis: Axis, planeMm: number): number | null {
  const [a, b] = [leg.from[axis], leg.to[axis]];
  return a > planeMm === b > planeMm ? null : (planeMm - a) / (b - a);
}

// What is left of the panel between the hole and its own nearest edge.
function findEdge(at: Vec3, panel: Obstacle, normal: Axis, { lengthMm }: Hole): NonNullable<Passage["nearest"]> {
  const { min, max } = toBlock(panel);
  const toEdge = AXES.filter((axis) => axis !== normal).map((axis) =>
    Math.min(at[axis] - min[axis], max[axis] - at[axis]),
  );
  return { obstacle: panel, gapMm: Math.min(...toEdge) - lengthMm / 2 };
}
