import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { roundTenth } from "../design/moves";
import type { Drain, Line } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { listCourse } from "../fit/lineLegs";
import { type Vec3, vec } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { MM_PER_M } from "../quantity/convert";
import { lookUpLimit } from "../rules/lookUpLimit";
import type { Remedy } from "./remedy";

/** Beyond the least fall so much more is tried, mm/m: a rig that stands askew wants more. */
const TRIED_MM_PER_M = [5, 10, 20, 35, 55] as const;

/**
 * A leg of a drain that falls too much, or goes slanting through the floor, laid flat and taken straight down: at its lower end, or at
 * its upper one, by as little fall as holds.
 */
export function proposeDropInLeg(design: Design, drain: Drain, index: number): Remedy[] {
  const leg = buildDrainPath(design, drain).ownLegs[index];
  if (!leg || leg.kind === "drop" || leg.planLengthMm === 0) return [];
  const { from, to } = leg;
  const least = lookUpLimit(design.rules, "minFall", { boreMm: toCodeBoreMm(leg.pipe) }).value ?? 0;
  return proposeCorners(drain.id, "bendsMm", index, from, to, least);
}

/** The same for a breather, a hose or a dump line, which is led flat and straight up or down. */
export function proposeUprightLeg(design: Design, line: Exclude<Line, Drain>, index: number): Remedy[] {
  const course = listCourse(design, line);
  const [from, to] = [course[index], course[index + 1]];
  if (!from || !to) return [];
  const [high, low] = from.z > to.z ? [from, to] : [to, from];
  return proposeCorners(line.id, "pointsMm", index, high, low, 0);
}

function proposeCorners(
  lineId: string,
  key: "bendsMm" | "pointsMm",
  index: number,
  high: Vec3,
  low: Vec3,
  least: number,
): Remedy[] {
  const heightMm = high.z - low.z;
  const at = { kind: "leg", lineId, index } as const;
  return TRIED_MM_PER_M.flatMap((more): Remedy[] => {
    const fallMm = ((least + more) * Math.hypot(high.x - low.x, high.y - low.y)) / MM_PER_M;
    if (fallMm >= heightMm) return [];
    const corners = [
      ["lowerEnd", vec(low.x, low.y, high.z - fallMm)],
      ["upperEnd", vec(high.x, high.y, low.z + fallMm)],
    ] as const;
    return corners.map(([way, point]): Remedy => {
      const ops: EditOp[] = [{ op: "insert", path: ["lines", lineId, key], index, value: roundTenth(point) }];
      return { byMm: Math.round(heightMm - fallMm), way, edit: { code: "takeDown", at, ops } };
    });
  });
}
