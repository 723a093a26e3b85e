import type { Surroundings } from "../design/design";
import type { Pipe } from "../design/plumbing";
import { buildLeg } from "../falls/drainPath";
import type { Vec3 } from "../geometry/vec";
import { findClearance, measureGapsOf } from "./obstacleGaps";

/** Whether a pipe along these inverts keeps the clearance of everything that stands on the rig. */
export function isCourseClear(design: Surroundings, course: readonly Vec3[], pipe: Pipe): boolean {
  return course.slice(1).every((to, index) => {
    const leg = buildLeg(course[index]!, to, { lineId: "", index, pipe, inflowLps: 0, surgeLps: 0 });
    return measureGapsOf(design, leg).every(
      ({ obstacle, gapMm }) => gapMm >= (findClearance(design.rules, obstacle).value ?? 0),
    );
  });
}
