import type { Design } from "../design/design";
import { roundTenth } from "../design/moves";
import type { DumpLine, Pipe, Port, Tank } from "../design/plumbing";
import { isCourseClear } from "../fit/clearCourse";
import { listDumpCourse } from "../fit/lineLegs";
import { toTankBlock } from "../fit/obstacleGaps";
import { measureExtent } from "../geometry/solid";
import { add, interpolate, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import { degToRad, MM_PER_M } from "../quantity/convert";
import { lookUpDumpFall } from "../tanks/dumpRun";

/** The end stands so far in from the edge of the rig, where a hand and a hose reach it and nothing knocks it, mm [T]. */
const IN_FROM_EDGE_MM = 60;
/** A dump line is laid with so much more fall than its rule asks for, m/m: what a hand and a hanger are off by [T]. */
const SPARE_FALL = 0.008;

/** The least fall of the rule, and what the lean to dump may eat of it, m/m. */
export function findLaidFall(design: Design, pipe: Pipe): number {
  const { pitchDeg, rollDeg } = design.rig.dumpAttitude;
  const eaten = Math.tan(degToRad(Math.hypot(pitchDeg, rollDeg)));
  return (lookUpDumpFall(design, { pipe }).value ?? 0) / MM_PER_M + eaten;
}

/** Drops after the outlet that are tried where something is in the way, mm. */
const LOWER_MM = [0, 40, 80, 120, 160, 200, 260, 320] as const;
/** So far on toward the edge it may go before it drops, mm: what is in the way may lie right under the outlet. */
const AHEAD_MM = [0, 150, 250, 350, 500] as const;
/** A millimetre lower is worth so many of way: what hangs low is knocked [T]. */
const LOWER_COSTS = 3;
/** Nobody dumps at the nose where there is another way: so much further it counts, mm. */
const FRONT_COSTS_MM = 4_000;
/** An end hangs no lower than this over the ground, mm [T]. */
const OVER_GROUND_MM = 180;
/** Places along a leg at which it is held against the tanks. */
const SHARES = Array.from({ length: 25 }, (_, i) => i / 24);

// Where a line from an outlet is past the tank and its fitting: straight out of the wall, or down from the bottom.
function placeFoot(tank: Tank, outlet: Port): Vec3 {
  const { min, max } = measureExtent(tank.solid);
  const from = add(tank.atMm, outlet.atMm);
  const out = Math.max(80, outlet.fittingMm + 40);
  const isAt = (a: number, b: number) => Math.abs(a - b) <= 1;
  const { x, y, z } = outlet.atMm;
  return isAt(x, min.x)
    ? vec(from.x - out, from.y, from.z)
    : isAt(x, max.x)
      ? vec(from.x + out, from.y, from.z)
      : isAt(y, min.y)
        ? vec(from.x, from.y - out, from.z)
        : isAt(y, max.y)
          ? vec(from.x, from.y + out, from.z)
          : vec(from.x, from.y, from.z - (isAt(z, min.z) ? out / 2 : 0));
}

/**
 * The points of a dump line, mm: out of the wall the outlet sits in, past the tank, then straight to an edge of the rig; an
 * outlet in the bottom goes down first. The nearest edge that keeps clear of everything, as little lower as that takes and
 * not the nose; else the nearest.
 */
export function layToEdge(design: Design, tank: Tank, outlet: Port, pipe: Pipe): Vec3[] {
  const { rig } = design;
  const from = add(tank.atMm, outlet.atMm);
  const foot = placeFoot(tank, outlet);
  const fall = findLaidFall(design, pipe) + SPARE_FALL;
  const near = foot.y < 0 ? -1 : 1;
  const sides = [near, -near].map((side) => vec(foot.x, side * (rig.widthMm / 2 - IN_FROM_EDGE_MM), 0));
  const [rear, front] = [vec(IN_FROM_EDGE_MM, foot.y, 0), vec(rig.lengthMm - IN_FROM_EDGE_MM, foot.y, 0)];
  const byWay = (end: Vec3) => Math.hypot(end.x - foot.x, end.y - foot.y);
  const courses = LOWER_MM.flatMap((lowerMm) =>
    [...sides, rear, front].flatMap((edge) =>
      AHEAD_MM.filter((aheadMm) => aheadMm === 0 || (lowerMm > 0 && aheadMm < byWay(edge))).map((aheadMm) => {
        const turn = interpolate(foot, vec(edge.x, edge.y, foot.z), aheadMm / Math.max(1, byWay(edge)));
        const low = vec(turn.x, turn.y, foot.z - lowerMm);
        const drop = lowerMm > 0 ? [...(aheadMm > 0 ? [turn] : []), low] : [];
        const course = layFalling(from, [foot, ...drop, vec(edge.x, edge.y, low.z)], fall);
        const cost = byWay(edge) + LOWER_COSTS * lowerMm + aheadMm / 10 + (edge === front ? FRONT_COSTS_MM : 0);
        return { course, cost };
      }),
    ),
  );
  courses.sort((a, b) => a.cost - b.cost);
  const isFree = (course: readonly Vec3[]) =>
    course.at(-1)!.z > rig.groundZMm + OVER_GROUND_MM &&
    isCourseClear(design, [from, ...course], pipe) &&
    !passesTank(design, course, pipe);
  return (courses.find(({ course }) => isFree(course)) ?? courses[0]!).course;
}

/** So far along each leg of the other one a place for a wye is sought. */
const WYE_SHARES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9] as const;
/** Where it comes in square to the flow the way counts as so much longer, mm, and against it so much more [T]. */
const SQUARE_COSTS_MM = 400;
const AGAINST_COSTS_MM = 4_000;
/** Each missing millimetre of fall counts as so many of way, and so does a corner [T]. */
const FLAT_COSTS = 50;
const CORNER_COSTS_MM = 150;

/**
 * The points of a dump line that joins another one, the place for the wye, mm, and which leg of the other it is on: with
 * fall, with the flow, the shortest way straight or round one corner that keeps clear of everything; else one beside the
 * tanks; else the shortest.
 */
export function layToLine(
  design: Design,
  tank: Tank,
  outlet: Port,
  pipe: Pipe,
  main: DumpLine,
): { readonly pointsMm: Vec3[]; readonly atMm: Vec3; readonly leg: number } {
  const from = add(tank.atMm, outlet.atMm);
  const foot = placeFoot(tank, outlet);
  const fall = findLaidFall(design, pipe);
  const course = listDumpCourse(design, main);
  const ways = course.slice(1).flatMap((to, leg) =>
    WYE_SHARES.flatMap((share) => {
      const atMm = roundTenth(interpolate(course[leg]!, to, share));
      const corners = [[], [vec(atMm.x, foot.y, foot.z)], [vec(foot.x, atMm.y, foot.z)]];
      return corners.map((corner) => {
        const planned = [foot, ...corner, atMm];
        const planMm = measurePlan(planned);
        const turn = findTurnCost(subtract(atMm, planned.at(-2)!), subtract(to, course[leg]!));
        const shortMm = Math.max(0, atMm.z + planMm * fall - from.z);
        const cost = planMm + corner.length * CORNER_COSTS_MM + turn + FLAT_COSTS * shortMm;
        return { atMm, leg, cost, planned: planned.slice(0, -1) };
      });
    }),
  );
  ways.sort((a, b) => a.cost - b.cost);
  const lay = ({ planned, atMm }: (typeof ways)[number]): Vec3[] =>
    layFalling(from, planned, fall + SPARE_FALL)
      // no lower than where it ends, or it would stand full
      .map((p) => roundTenth(vec(p.x, p.y, Math.max(p.z, Math.min(atMm.z, from.z)))));
  const courseOf = (way: (typeof ways)[number]) => [...lay(way), way.atMm];
  const besideTanks = ways.filter((way) => !passesTank(design, courseOf(way), pipe));
  const clear = besideTanks.find((way) => isCourseClear(design, [from, ...courseOf(way)], pipe));
  const best = clear ?? besideTanks[0] ?? ways[0]!;
  return { pointsMm: lay(best), atMm: best.atMm, leg: best.leg };
}

const measurePlan = (points: readonly Vec3[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + measurePlanLength(subtract(p, points[i]!)), 0);

function findTurnCost(comes: Vec3, goes: Vec3): number {
  const lengths = measurePlanLength(comes) * measurePlanLength(goes);
  if (lengths === 0) return 0;
  const cosine = (comes.x * goes.x + comes.y * goes.y) / lengths;
  return cosine < -ANGLE_NOISE ? AGAINST_COSTS_MM : SQUARE_COSTS_MM * (1 - cosine);
}

/** A square joint is square within this cosine. */
const ANGLE_NOISE = 1e-6;

// Whether it goes through a tank; the piece from the outlet on to its first point is beside it.
function passesTank({ tanks }: Design, course: readonly Vec3[], { outerMm }: Pipe): boolean {
  const blocks = tanks.map(toTankBlock);
  const reach = outerMm / 2;
  return course.slice(1).some((to, i) =>
    SHARES.some((share) => {
      const p = interpolate(course[i]!, to, share);
      return blocks.some(
        ({ min, max }) =>
          p.x > min.x - reach &&
          p.x < max.x + reach &&
          p.y > min.y - reach &&
          p.y < max.y + reach &&
          p.z + outerMm > min.z &&
          p.z < max.z,
      );
    }),
  );
}

/** The same points with heights that fall evenly from the first, in the rig's own frame; a drop that is there stays one. */
export function layFalling(from: Vec3, points: readonly Vec3[], fall: number): Vec3[] {
  let [before, z] = [from, from.z];
  return points.map((p) => {
    const planMm = Math.hypot(p.x - before.x, p.y - before.y);
    z = Math.min(z - planMm * fall, z - (before.z - p.z > planMm ? before.z - p.z : 0));
    before = p;
    return vec(p.x, p.y, z);
  });
}
