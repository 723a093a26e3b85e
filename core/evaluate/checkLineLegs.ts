import type { Design } from "../design/design";
import { listLineLegs } from "../fit/lineLegs";
import { measureGapsOf } from "../fit/obstacleGaps";
import { listLegPassages, type Passage } from "../fit/passages";
import { lookUpValue } from "../rules/lookUpLimit";
import { checkObstacleGaps } from "./checkObstacleGaps";
import { checkPassages } from "./checkPassages";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** Every leg of breathers and hoses keeps the clearances of its kind, and its holes are judged like a drain's. */
export function checkLineLegs(design: Design, passages: readonly Passage[]): Finding[] {
  return [
    ...design.lines.flatMap((line) =>
      listLineLegs(design, line).flatMap((leg) =>
        checkObstacleGaps(design, measureGapsOf(design, leg), (obstacle, gapMm, limit) =>
          createFinding(
            "must",
            { kind: "leg", lineId: line.id, index: leg.index },
            { code: "legHitsObstacle", obstacleId: obstacle.id, obstacleName: obstacle.name, gapMm },
            limit,
          ),
        ),
      ),
    ),
    ...checkPassages(design, passages),
  ];
}

/** The holes of all breathers and hoses. */
export function listLinePassages(design: Design): Passage[] {
  const clearanceMm = Math.max(0, lookUpValue(design.rules, "holeClearance"));
  return design.lines.flatMap((line) =>
    line.kind === "drain" ? [] : listLegPassages(design, line.id, listLineLegs(design, line), [], clearanceMm),
  );
}
