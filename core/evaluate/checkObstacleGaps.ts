import type { Surroundings } from "../design/design";
import { findClearance, type ObstacleGap } from "../fit/obstacleGaps";
import { isAtLeast } from "../quantity/tolerance";
import type { Limit } from "../rules/lookUpLimit";
import type { Finding } from "./findings";

/** Turns gaps that are smaller than the clearance rule of their obstacle into findings. */
export function checkObstacleGaps(
  design: Surroundings,
  gaps: readonly ObstacleGap[],
  toFinding: (gap: ObstacleGap, limit: Limit) => Finding,
): Finding[] {
  const findings: Finding[] = [];
  for (const gap of gaps) {
    const limit = findClearance(design.rules, gap.obstacle);
    if (!isAtLeast(gap.gapMm, limit.value ?? 0)) findings.push(toFinding(gap, limit));
  }
  return findings;
}
