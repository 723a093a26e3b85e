import type { Surroundings } from "../design/design";
import { findClearance, type ObstacleGap } from "../fit/obstacleGaps";
import { isAtLeast } from "../quantity/tolerance";
import type { Limit } from "../rules/lookUpLimit";
import { createGraded } from "./createFinding";
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

/** The same of a leg of any line. Let into the floor on purpose it can be built; through anything else it cannot. */
export const checkLegGaps = (
  design: Surroundings,
  lineId: string,
  index: number,
  gaps: readonly ObstacleGap[],
): Finding[] =>
  checkObstacleGaps(design, gaps, ({ obstacle: { id: obstacleId, name: obstacleName }, gapMm, within = null }, limit) =>
    createGraded(
      within === "floor" ? "should" : "must",
      { kind: "leg", lineId, index },
      { code: "legHitsObstacle", obstacleId, obstacleName, gapMm, within },
      limit,
    ),
  );
