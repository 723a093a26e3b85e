import type { FindingOf } from "@/core/evaluate/findingRegistry";
import type { FindingWords, Told } from "./findingWords";
import { formatQuantity } from "./units";

/** What is found at drains, their falls and holes, and where they end, in words. */
export function describeFallFinding(
  finding: FindingOf<"fall">,
  { part, length, litres, stands, limit, rigWord, units }: Told,
): FindingWords {
  switch (finding.code) {
    case "noFixtureYet":
      return {
        title: "No fixture yet",
        why: "Without a drain there is nothing to judge.",
        advice: "Add a sink, basin or shower at the station Falls. With a tank there, it comes with a drain.",
      };
    case "parkedLevelOnly":
      return finding.isAfloat
        ? {
            title: "She is judged on an even keel only",
            why: "A fall of 2 % runs backwards as soon as she heels more than 1.1° the wrong way.",
            advice: "Say at Rig how far she heels and trims at her berth.",
          }
        : {
            title: "It is judged dead level only",
            why: "A fall of 2 % runs backwards as soon as the rig stands more than 1.1° the wrong way, and few places are as level as that.",
            advice: "Say at Rig how far out of level it is parked; two or three degrees each way are usual.",
          };
    case "noWaterline":
      return {
        title: "The waterline isn't given",
        why: "Nothing about the sea is checked: seacocks, what a hose lets in, how high a loop must stand.",
        advice: "Measure from the sole to the water outside, at the deepest she lies: Rig, Waterline.",
      };
    case "partOutside":
      return {
        title: `${part} lies off the ${rigWord}`,
        why: `It reaches ${length(finding.byMm)} beyond the edge, and nothing is there to hold it. A place may be measured from another edge.`,
        advice: "Measure it again: along from the rear edge, across from the middle.",
      };
    case "partSticksOut":
      return {
        title: `${part} stands out at the side`,
        why: `It reaches ${length(finding.byMm)} past the edge of the floor; the wall ends before that, nothing is there to hold it, and on the road it is in the way.`,
        advice: "Bring it in under the floor. If the floor is wider than is said, mend its width at Rig.",
      };
    case "fixtureOutside":
      return {
        title: `${part} stands outside the ${rigWord}`,
        why: finding.isAbove
          ? `Its outlet is ${length(finding.byMm)} higher than any waste stands over the floor.`
          : `Its outlet is ${length(finding.byMm)} beyond the edge of the floor.`,
        advice: "Measure it again, from the rear edge, the centre line and the finished floor.",
      };
    case "legBarely":
      return {
        title: `${part} falls less than a hand can lay`,
        why: `${length(finding.inHandMm)} is in hand over ${length(finding.lengthMm)} of pipe; laid by hand it is off by up to ${length(finding.toleranceMm)}.`,
        advice: "Give it a little more fall, or lay it on a board and measure each clip.",
      };
    case "fixtureUndrained":
      return {
        title: `${part} has no drain`,
        why: "Its water goes nowhere.",
        advice: "Draw a drain from it to a tank.",
      };
    case "legBackwards":
      return {
        title: `${part} runs backwards on level ground`,
        why: `It rises ${length(-finding.fallMm)} instead of falling; ${litres(finding.litres)} stays in it.`,
        advice: `It needs ${length(finding.shortMm)} more fall to run wherever you park.`,
      };
    case "legBackwardsParked":
      return {
        title: `${part} runs backwards, ${stands(finding.attitude)}`,
        why: `It is ${length(finding.shortMm)} short of fall there; ${litres(finding.litres)} stays in it and it empties slowly.`,
        advice: `Give it ${length(finding.shortMm)} more fall, or park more level.`,
      };
    case "legBelowMinFall":
      return {
        title: `${part} is too flat`,
        why: `It falls ${formatQuantity(finding.slopeMmPerM, "slope", units)}; the rules ask for ${limit}.`,
        advice: `Give it ${length(finding.shortMm)} more fall.`,
      };
    case "legTooShort":
      return {
        title: `${part} is too short for what is fitted at its ends`,
        why: `Their middles lie ${length(finding.lengthMm)} apart; the fittings alone, one in the other, take ${length(finding.needsMm)}.`,
        advice: "Move them apart, take one of them out, or go on in hose there.",
      };
    case "legTooSteep":
      return {
        title: `${part} is steep`,
        why: `It falls ${formatQuantity(finding.slopeMmPerM, "slope", units)}; above ${limit} a small branch can run full and empty its own trap.`,
        advice: "Lay it flatter and take the height in a drop, or give the trap its own vent.",
      };
    case "legHitsObstacle":
      if (finding.within !== null) {
        const where = finding.within === "side" ? `the side of ${finding.obstacleName}` : finding.obstacleName;
        return {
          title: `${part} runs along in ${where}`,
          why: `It lies ${length(-finding.gapMm)} deep in it for more than the length of a hole: it would have to be cut open.`,
          advice: "Lead it beside it, or square through.",
        };
      }
      return {
        title: `${part} ${finding.gapMm < 0 ? "runs into" : "is too near to"} ${finding.obstacleName}`,
        why:
          finding.gapMm < 0
            ? `It reaches ${length(-finding.gapMm)} into it.`
            : `There is ${length(finding.gapMm)} between them; ${limit} is wanted.`,
        advice: "Move a bend so that the pipe passes clear of it.",
      };
    case "partBelowSill":
      return {
        title: `${part} hangs below the sill line`,
        why: `By ${length(finding.byMm)}: it hits the ground before the rig does.`,
        advice: "Raise it.",
      };
    case "legInPart":
      return {
        title: `${part} runs through ${finding.otherName}`,
        why: finding.isOwn
          ? "It goes on through the inside of the tank that it is joined to."
          : "One of them is drawn where the other one is.",
        advice: "Lead it past: over it, under it or beside it.",
      };
    case "pipesClash":
      return {
        title: `${part} runs into ${finding.otherName}`,
        why: `The two pipes reach ${length(finding.deepMm)} into each other.`,
        advice: "Lead one of them past the other, or join them with a wye.",
      };
    case "runsFull":
      return {
        title: `A full bowl let go fills ${part}`,
        why: `${formatQuantity(finding.surgeLps, "flow", units)} comes when the plug is pulled; the pipe carries ${formatQuantity(finding.capacityLps, "flow", units)} at ${limit} full. It runs full for some seconds and pulls at the trap.`,
        advice: "Keep the trap near its air, or use the next pipe size.",
      };
    case "drainSlow":
      return {
        title: `${part} cannot keep up`,
        why: `It carries ${formatQuantity(finding.capacityLps, "flow", units)} at ${limit} full; the tap gives ${formatQuantity(finding.inflowLps, "flow", units)}.`,
        advice: "Use a wider pipe, or more fall on its flattest leg.",
      };
    case "belowCleanVelocity":
      return {
        title: `${part} runs slowly`,
        why: `${formatQuantity(finding.velocityMps, "velocity", units)}; pipes clean themselves from ${limit}. Grey lines in a rig seldom reach it.`,
        advice: "Rinse it through now and then, and leave a way in to clean it.",
      };
    case "passageSlants":
      return {
        title: `${part} slants through the floor`,
        why: `It needs a hole of ${length(finding.lengthMm)} by ${length(finding.widthMm)}, or a round one of ${length(finding.lengthMm)}.`,
        advice: `Turn it down before the floor: straight through, ${length(finding.widthMm)} will do.`,
      };
    case "narrowsDownstream":
      return {
        title: `${part} narrows the way`,
        why: `From ${length(finding.fromMm)} to ${length(finding.toMm)} of bore: what passes above sticks here.`,
        advice: "Keep the bore or widen it on the way down.",
      };
    case "obstaclesOverlap":
      return {
        title: `${part} stands in the place of ${finding.otherName}`,
        why: "More than half of one lies within the other.",
        advice: "Measure both again, or take one away.",
      };
    case "holeSmall":
      return {
        title: `The hole for ${part} is too small`,
        why: `It is ${length(finding.drilledMm)} wide; at its slope the pipe needs ${length(finding.neededMm)}.`,
        advice: "Widen it, or let the pipe turn down before it and go straight through.",
      };
    case "holeNearEdge":
      return {
        title:
          finding.gapMm < 0
            ? `The hole for ${part} cuts into ${finding.memberName}`
            : `The hole for ${part} is near ${finding.memberName}`,
        why:
          finding.gapMm < 0
            ? `It reaches ${length(-finding.gapMm)} into it. A frame that is cut no longer carries.`
            : `${length(finding.gapMm)} stays between its edge and the frame or the panel's edge; ${limit} is wanted.`,
        advice: "Move the passage away from it.",
      };
    case "drillTowards":
      return {
        title: `${finding.obstacleName} lies behind the hole for ${part}`,
        why: `A drill that breaks through is ${length(finding.clearMm)} from it.`,
        advice: "Set a stop on the bit, hold a board before it, drill a small pilot first and look.",
      };
    case "touchesRamp":
      return {
        title: finding.where === "between" ? `${part} touches on a ridge` : `${part} touches on a ramp`,
        why: `It hangs ${length(finding.overGroundMm)} over the ground and leaves ${formatQuantity(finding.angleDeg, "angle", units)} ${finding.where === "between" ? "between the axles" : finding.where === "behind" ? "behind the last axle" : "before the first axle"}; ${limit} is wanted.`,
        advice: "Hang it higher, or nearer to an axle.",
      };
    case "endsOnGround":
      return {
        title: `${part} lets waste water fall on the ground`,
        why: "It saves tank, height and weight, and smells where you stay. Many places forbid it, for grey water too.",
        advice: "Ask what the place allows. Put a canister under it, or lead it to a tank.",
      };
    case "ontoGround":
      return {
        title: "Some of the water goes on the ground",
        why: `${formatQuantity(finding.litresPerDay, "volumePerDay", units)} comes down no drain and into no vessel.`,
        advice:
          "Give the use a fixture with a drain or a vessel. Dumping on the ground is forbidden in many places: ask.",
      };
  }
}
