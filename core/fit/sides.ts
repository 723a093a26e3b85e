import type { Obstacle } from "../design/rig";
import type { Leg } from "../falls/drainPath";
import type { Block } from "../geometry/blocks";
import { subtract, type Vec3 } from "../geometry/vec";
import { GIVES_MM, toAxis } from "./clashes";
import { toBlock } from "./obstacleBlock";
import { findRole } from "./roles";

/** What a pipe goes through by a hole: a wall, or an upright side of a cabinet. */
export type Side = { readonly axis: Axis; readonly atMm: number; readonly thicknessMm: number };
type Axis = "x" | "y" | "z";

const AXES = ["x", "y", "z"] as const;

/** Side of a cabinet, mm [T]. */
const CABINET_MM = 16;

/** The sides of what stands on the rig: a wall is one plane in its middle, a cabinet has four upright ones, others none. */
export function listSides(obstacle: Obstacle): readonly Side[] {
  const role = findRole(obstacle.kind);
  if (role !== "panel" && role !== "cabinet") return [];
  const { min, max } = toBlock(obstacle);
  if (role === "cabinet") {
    return (["x", "y"] as const).flatMap((axis) =>
      [min[axis], max[axis]].map((atMm) => ({ axis, atMm, thicknessMm: CABINET_MM })),
    );
  }
  const thin = AXES.reduce<Axis>((a, b) => (max[b] - min[b] < max[a] - min[a] ? b : a), "x");
  return [{ axis: thin, atMm: (min[thin] + max[thin]) / 2, thicknessMm: max[thin] - min[thin] }];
}

/** Whether a point, seen square to a side, is on it. */
export const isOnFace = (p: Vec3, obstacle: Obstacle, normal: Axis): boolean => {
  const { min, max } = toBlock(obstacle);
  return AXES.every((axis) => axis === normal || (p[axis] >= min[axis] && p[axis] <= max[axis]));
};

/**
 * How deep the outside of a leg lies in a side along which it runs for more than a hole is long, mm, negative as gaps
 * are; null where it goes through by a hole, or past. A hole may be `mostTimes` ≥ 1 as long as the bare pipe is wide [C].
 */
export function measureAlongSides(leg: Leg, obstacle: Obstacle, mostTimes: number): number | null {
  const { from, to } = toAxis(leg);
  const run = subtract(to, from);
  return findLeast(
    listSides(obstacle).flatMap(({ axis, atMm, thicknessMm }): number[] => {
      const reachMm = (thicknessMm + leg.outsideMm) / 2;
      const { min, max } = toBlock(obstacle);
      const slab = (low: number, high: number) => clip(from[axis], run[axis], low, high);
      const stretch = AXES.reduce(
        (now, one) => (one === axis ? now : meet(now, clip(from[one], run[one], min[one], max[one]))),
        slab(atMm - reachMm + GIVES_MM, atMm + reachMm - GIVES_MM),
      );
      const alongMm = (stretch[1] - stretch[0]) * Math.hypot(...AXES.map((one) => (one === axis ? 0 : run[one])));
      if (alongMm <= mostTimes * leg.pipe.outerMm) return [];
      const [a, b] = stretch.map((share) => from[axis] + run[axis] * share - atMm) as [number, number];
      return [(a > 0 === b > 0 ? Math.min(Math.abs(a), Math.abs(b)) : 0) - reachMm];
    }),
  );
}

/**
 * How far a tank or a piece of gear reaches past the side of a cabinet that it stands through, inward or outward, whichever
 * is less, mm, negative as gaps are; null where it stands inside or outside [C]. Walls hinder it whole.
 */
export function measureThroughSides(block: Block, obstacle: Obstacle): number | null {
  if (findRole(obstacle.kind) !== "cabinet") return null;
  const { min, max } = toBlock(obstacle);
  return findLeast(
    listSides(obstacle).flatMap(({ axis, atMm }): number[] => {
      const isOver = AXES.every(
        (one) => one === axis || (block.min[one] < max[one] - GIVES_MM && block.max[one] > min[one] + GIVES_MM),
      );
      const pastMm = Math.min(atMm - block.min[axis], block.max[axis] - atMm);
      return isOver && pastMm > GIVES_MM ? [-pastMm] : [];
    }),
  );
}

type Stretch = readonly [from: number, to: number];

// The share of a run on which a coordinate lies between two values.
function clip(from: number, run: number, low: number, high: number): Stretch {
  if (run === 0) return from >= low && from <= high ? [0, 1] : [0, 0];
  const [a, b] = [(low - from) / run, (high - from) / run];
  return meet([0, 1], a < b ? [a, b] : [b, a]);
}

const meet = (a: Stretch, b: Stretch): Stretch => {
  const from = Math.max(a[0], b[0]);
  return [from, Math.max(from, Math.min(a[1], b[1]))];
};

const findLeast = (values: readonly number[]): number | null => (values.length === 0 ? null : Math.min(...values));
