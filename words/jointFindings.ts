import type { FindingOf } from "@/core/evaluate/findingRegistry";
import type { FindingWords, Told } from "./findingWords";
import { DRAWING } from "./pumpOut";
import { formatQuantity } from "./units";

/** What is found where pipes join, drains and breathers, in words. */
export function describeJointFinding(finding: FindingOf<"joints">, { part, length, limit, units }: Told): FindingWords {
  switch (finding.code) {
    case "branchAgainstFlow":
      return {
        title: `${part} joins against the flow`,
        why: `It comes in at ${formatQuantity(finding.angleDeg, "angle", units)} to the way the water runs, so each sends water and dirt up the other.`,
        advice: "Let it join further down, or turn its last bend the way the water runs.",
      };
    case "teeOnTheFlat":
      return {
        title: `${part} joins a lying pipe by a tee`,
        why: "A square branch throws its water across the pipe: it stands there and leaves dirt. Codes keep tees for upright pipes.",
        advice: "Use a wye with a bend, so that both run the same way.",
      };
    case "siphonedByOthers":
      return {
        title: `Other water can suck ${part} empty`,
        why: `${formatQuantity(finding.othersLps, "flow", units)} from the others fill the shared pipe to ${formatQuantity(finding.fillRatio, "ratio", units)}; above ${limit} no air comes through it.`,
        advice: "Give this branch air of its own, or widen the pipe they share.",
      };
    case "sharedAirSucks":
      return {
        title: `${DRAWING[finding.by]} ${finding.otherName} sucks on ${part}`,
        why: `Through the breather they share it puts ${formatQuantity(finding.suctionPa, "pressure", units)} on the traps; ${limit} is allowed.`,
        advice: "Widen the stretch they share, or give each its own way out.",
      };
    case "airTogether":
      return {
        title: finding.isAlone
          ? `${part} is short of air with all its ways out open`
          : `Opened together, ${finding.tankNames.join(" and ")} leave ${part} short of air`,
        why: `${formatQuantity(finding.suctionPa, "pressure", units)} of suction${finding.breaksSeal ? `, more than a seal of ${length(finding.sealMm)} holds. One at a time it holds.` : `; ${limit} is allowed. One at a time it stays within.`}`,
        advice: `Let one run empty before the next, or widen the ${finding.isAlone ? "breather" : "stretch they share"}.`,
      };
    case "floodedByOthers":
      return {
        title: `${part} fills when the others run`,
        why: `Together they bring ${formatQuantity(finding.inflowLps, "flow", units)} into a pipe that takes ${formatQuantity(finding.capacityLps, "flow", units)}; the water comes up at the lowest outlet.`,
        advice: "Widen the pipe they share, give it more fall, or take one of them to an inlet of its own.",
      };
  }
}
