import type { Surroundings } from "../design/design";
import type { Passage } from "../fit/passages";
import { isAtLeast, isAtMost } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** A bit that breaks through runs on this far before it is stopped, mm [T]. */
const NEAR_BEHIND_MM = 150;

/** Holes: a pipe that goes through the floor at its own fall needs a slot, and what is near or behind is told of. */
export function checkPassages(design: Surroundings, passages: readonly Passage[]): Finding[] {
  const slant = lookUpLimit(design.rules, "holeSlant");
  const edge = lookUpLimit(design.rules, "memberGap");
  return passages.flatMap((passage): Finding[] => {
    const { lineId, legIndex, through, hole, drilledMm, nearest, behind } = passage;
    const at = { kind: "leg", lineId, index: legIndex } as const;
    const { lengthMm, widthMm } = hole;
    const findings: Finding[] = [];
    if (through === "floor" && !isAtMost(lengthMm, (slant.value ?? Infinity) * widthMm)) {
      findings.push(createFinding(at, { code: "passageSlants", lengthMm, widthMm }, slant));
    }
    // a round hole must be as wide as the slant is long
    if (drilledMm !== null && !isAtLeast(drilledMm, lengthMm)) {
      findings.push(createFinding(at, { code: "holeSmall", drilledMm, neededMm: lengthMm }));
    }
    if (nearest && !isAtLeast(nearest.gapMm, edge.value ?? 0)) {
      const { gapMm, obstacle } = nearest;
      findings.push(createFinding(at, { code: "holeNearEdge", gapMm, memberName: obstacle.name }, edge));
    }
    if (behind && behind.clearMm < NEAR_BEHIND_MM) {
      const { clearMm, obstacle } = behind;
      findings.push(createFinding(at, { code: "drillTowards", clearMm, obstacleName: obstacle.name }));
    }
    return findings;
  });
}
