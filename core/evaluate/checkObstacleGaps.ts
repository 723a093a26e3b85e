import type { Surroundings } from "../design/design";
import type { Obstacle } from "../design/rig";
import { findClearance, type ObstacleGap } from "../fit/obstacleGaps";
import { isAtLeast } from "../quantity/tolerance";
import type { Limit } from "../rules/lookUpLimit";
import type { Finding } from "./findings";

/** Turns gaps that are smaller than the clearance rule of their obstacle into findings. */
export function checkObstacleGaps(
  design: Surroundings,
  gaps: readonly ObstacleGap[],
  toFinding: (obstacle: Obstacle, gapMm: number, limit: Limit) => Finding,
): Finding[] {
  const findings: Finding[] = [];
  for (const { obstacle, gapMm } of gaps) {
    const limit = findClearance(design.rules, obstacle);
    if (!isAtLeast(gapMm, limit.value ?? 0)) findings.push(toFinding(obstacle, gapMm, limit));
  }
  return findings;
}
