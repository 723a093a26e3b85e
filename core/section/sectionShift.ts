import { type Attitude, computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Movable } from "../design/moves";
import type { Drain } from "../design/plumbing";
import { buildDrainPath, type DrainPath } from "../falls/drainPath";
import { measurePlanLength, scale, subtract, type Vec3, vec } from "../geometry/vec";
import { NO_LENGTH_MM } from "../quantity/tolerance";

/**
 * What a pull in the long section means on the rig: `alongMm` along the drain as it runs in plan at the part,
 * `upMm` of true height at the attitude; the answer is a shift in the rig frame, mm. Heights are pulled straight
 * up the rig, so dz = up / u.z [C].
 */
export function computeSectionShift(
  design: Design,
  drain: Drain,
  part: Movable,
  pull: { readonly alongMm: number; readonly upMm: number },
  attitude: Attitude,
): Vec3 {
  const path = buildDrainPath(design, drain);
  const along = scale(findDirection(path, part), pull.alongMm);
  const up = computeUp(attitude);
  // a shift along the plan changes the true height too; take that out again, so that the point follows the hand
  const tilted = (up.x * along.x + up.y * along.y) / up.z;
  return vec(along.x, along.y, pull.upMm / up.z - (pull.alongMm === 0 ? 0 : tilted));
}

// Unit direction in plan in which the drain runs at a part: the leg that arrives, or the one that leaves at the fixture.
function findDirection(path: DrainPath, part: Movable): Vec3 {
  const points = [path.outletMm, ...path.nodesMm];
  const place = findPointIndex(path, part);
  const backwards = points.slice(1, place + 1).reverse();
  const arriving = backwards.map((p, i) => subtract(p, points[place - 1 - i]!));
  const leaving = points.slice(place + 1).map((p, i) => subtract(p, points[place + i]!));
  const way = [...arriving, ...leaving].find((d) => measurePlanLength(d) > NO_LENGTH_MM) ?? vec(1, 0, 0);
  return scale(vec(way.x, way.y, 0), 1 / measurePlanLength(way));
}

function findPointIndex(path: DrainPath, part: Movable): number {
  const last = path.nodesMm.length;
  if (part.kind === "fixture") return 0;
  if (part.kind === "bend") {
    const node = path.nodeRefs.findIndex(({ lineId, bend }) => lineId === part.lineId && bend === part.index);
    return node < 0 ? last : node + 1;
  }
  if (part.kind === "leg") {
    const leg = path.legs.findIndex(({ lineId, index }) => lineId === part.lineId && index === part.index);
    return leg < 0 ? last : leg + 2;
  }
  if (part.kind === "passage") return Math.min(part.index + 1, last);
  return last;
}
