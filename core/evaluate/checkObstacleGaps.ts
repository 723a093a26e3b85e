import type { Design } from "../design/design";
import type { Obstacle } from "../design/rig";
import type { ObstacleGap } from "../fit/obstacleGaps";
import { isAtLeast } from "../quantity/tolerance";
import { type Limit, lookUpLimit } from "../rules/lookUpLimit";
import type { Finding } from "./findings";

/** Turns gaps that are smaller than the clearance rule of their obstacle into findings. */
export function checkObstacleGaps(
  design: Design,
  gaps: readonly ObstacleGap[],
  toFinding: (obstacle: Obstacle, gapMm: number, limit: Limit) => Finding,
): Finding[] {
  const usual = lookUpLimit(design.rules, "obstacleGap");
  const hot = lookUpLimit(design.rules, "exhaustGap");
  return gaps.flatMap(({ obstacle, gapMm }) => {
    const limit = obstacle.kind === "exhaust" ? hot : usual;
    return isAtLeast(gapMm, limit.value ?? 0) ? [] : [toFinding(obstacle, gapMm, limit)];
  });
}
