import type { Design } from "../design/design";
import { listDrilledHoles } from "../design/lineItems";
import type { Line } from "../design/plumbing";
import { listLineLegs } from "../fit/lineLegs";
import { measureGapsOf } from "../fit/obstacleGaps";
import { listLegPassages, type Passage } from "../fit/passages";
import { createRecall } from "../quantity/recall";
import { lookUpValue } from "../rules/lookUpLimit";
import { checkObstacleGaps } from "./checkObstacleGaps";
import { checkPassages } from "./checkPassages";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

const recallGaps = createRecall<Line, readonly Finding[]>();
const recallPassages = createRecall<Line, readonly Passage[]>();

// What the course and the clearances of a breather, hose or dump line hang on: those that may be joined count too; a drain
// that is pulled changes none of it.
const listGrounds = ({ tanks, gear, obstacles, rig, rules, lines }: Design): readonly unknown[] => [
  tanks,
  gear,
  obstacles,
  rig,
  rules,
  ...lines.filter(({ kind }) => kind === "vent" || kind === "dumpLine"),
];

/** Every leg of breathers and hoses keeps the clearances of its kind, and its holes are judged like a drain's. */
export function checkLineLegs(design: Design, passages: readonly Passage[]): Finding[] {
  const grounds = listGrounds(design);
  return [
    ...design.lines.flatMap((line) =>
      line.kind === "drain" ? [] : recallGaps(line, grounds, () => judgeGaps(design, line)),
    ),
    ...checkPassages(design, passages),
  ];
}

const judgeGaps = (design: Design, line: Line): Finding[] =>
  listLineLegs(design, line).flatMap((leg) =>
    checkObstacleGaps(design, measureGapsOf(design, leg, line.kind === "hose"), ({ obstacle, gapMm, within }, limit) =>
      createFinding(
        { kind: "leg", lineId: line.id, index: leg.index },
        {
          code: "legHitsObstacle",
          obstacleId: obstacle.id,
          obstacleName: obstacle.name,
          gapMm,
          within: within ?? null,
        },
        limit,
      ),
    ),
  );

/** The holes of all breathers and hoses. */
export function listLinePassages(design: Design): Passage[] {
  const clearanceMm = Math.max(0, lookUpValue(design.rules, "holeClearance"));
  const grounds = listGrounds(design);
  return design.lines.flatMap((line) =>
    line.kind === "drain"
      ? []
      : recallPassages(line, grounds, () =>
          listLegPassages(design, line.id, listLineLegs(design, line), listDrilledHoles(line), clearanceMm),
        ),
  );
}
