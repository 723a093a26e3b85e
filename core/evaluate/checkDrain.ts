import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { DrainPath } from "../falls/drainPath";
import { computePonds } from "../falls/ponding";
import { measureLegGaps } from "../fit/obstacleGaps";
import { isAtLeast, isAtMost } from "../quantity/tolerance";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { checkObstacleGaps } from "./checkObstacleGaps";
import { createFinding } from "./createFinding";
import type { DrainResult } from "./evaluation";
import type { Finding } from "./findings";
import { measureLegSlacks } from "./legSlack";
import type { Standing } from "./parkedAttitudes";

/** Everything that can be said against one drain, in the order the water meets it. */
export function checkDrain(
  design: Design,
  path: DrainPath,
  result: DrainResult,
  parked: readonly Standing[],
): Finding[] {
  return [
    ...(path.fixture.kind === "urineDiverter"
      ? [createFinding("should", { kind: "fixture", id: path.fixture.id }, { code: "urineInGrey" })]
      : []),
    ...checkTrap(design, path, result),
    ...checkLegs(path, result, parked),
    ...checkFlow(design, path, result),
    ...checkBores(path),
    ...checkPassages(design, result),
    ...path.ownLegs.flatMap((_, legIndex) =>
      checkObstacleGaps(design, measureLegGaps(design, path, legIndex), (obstacle, gapMm, limit) =>
        createFinding(
          "must",
          { kind: "leg", lineId: path.drain.id, index: legIndex },
          { code: "legHitsObstacle", obstacleId: obstacle.id, obstacleName: obstacle.name, gapMm },
          limit,
        ),
      ),
    ),
  ];
}

function checkTrap(design: Design, path: DrainPath, result: DrainResult): Finding[] {
  const { trap, branchVent, id: lineId } = path.drain;
  const at = { kind: "trap", lineId } as const;
  if (!trap) return [createFinding("must", { kind: "line", id: lineId }, { code: "trapMissing" })];
  if (trap.kind === "membrane") return [];
  const findings: Finding[] = [];
  const { sealMm } = trap;
  const least = lookUpLimit(design.rules, "sealLeast", { boreMm: path.pipe.innerMm });
  const most = lookUpLimit(design.rules, "sealMost", { boreMm: path.pipe.innerMm });
  if (least.value !== null && !isAtLeast(sealMm, least.value)) {
    findings.push(createFinding("should", at, { code: "sealShallow", sealMm }, least));
  }
  if (most.value !== null && !isAtMost(sealMm, most.value)) {
    findings.push(createFinding("note", at, { code: "sealDeep", sealMm }, most));
  }
  const inUse = lookUpLimit(design.rules, "sealInUse");
  const { sealRisks } = result;
  if (sealRisks && !isAtLeast(sealRisks.afterDrivingMm, inUse.value ?? 0)) {
    const { drivingLossMm: lossMm, afterDrivingMm: leftMm } = sealRisks;
    findings.push(createFinding("should", at, { code: "sealSlops", lossMm, leftMm }, inUse));
  }
  const { arm, armAllowedMm, armLimit } = result;
  if (!isAtMost(arm.lengthMm, armAllowedMm)) {
    const severity = armLimit.standing === "C" && branchVent ? "note" : "should";
    findings.push(
      createFinding(severity, at, { code: "trapArmLong", lengthMm: arm.lengthMm, allowedMm: armAllowedMm }, armLimit),
    );
  }
  return findings;
}

// One finding a leg: the one that says most. Backwards on level ground, then backwards where it is parked, then too flat.
function checkLegs(path: DrainPath, result: DrainResult, parked: readonly Standing[]): Finding[] {
  const slacks = measureLegSlacks(path, parked, result.minFall.value ?? 0, result.parkedFall.value ?? 0);
  const upright = computeUp(LEVEL);
  return path.ownLegs.flatMap((leg, index): Finding[] => {
    if (leg.kind === "drop") return [];
    const at = { kind: "leg", lineId: path.drain.id, index } as const;
    const slack = slacks[index]!;
    const shortMm = -slack.leastMm;
    const fallMm = result.level.legs[index]!.fallMm;
    const slopeMmPerM = leg.planLengthMm > 0 ? (fallMm / leg.planLengthMm) * 1000 : 0;
    const litresAt = (up: typeof upright) =>
      computePonds(path, up).find((pond) => pond.legIndex === index)?.litres ?? 0;
    if (fallMm < 0) {
      return [
        createFinding("must", at, { code: "legBackwards", fallMm, shortMm, litres: litresAt(upright) }, result.minFall),
      ];
    }
    if (!isAtLeast(slack.parkedMm, 0)) {
      const { attitude } = slack.parkedAt;
      const litres = litresAt(slack.parkedAt.up);
      return [createFinding("must", at, { code: "legBackwardsParked", attitude, shortMm, litres }, result.parkedFall)];
    }
    if (!isAtLeast(slack.levelMm, 0)) {
      return [createFinding("should", at, { code: "legBelowMinFall", slopeMmPerM, shortMm }, result.minFall)];
    }
    return [];
  });
}

function checkFlow(design: Design, path: DrainPath, result: DrainResult): Finding[] {
  const { flow } = result;
  const at = { kind: "line", id: path.drain.id } as const;
  const findings: Finding[] = [];
  const boreMm = path.pipe.innerMm;
  const most = lookUpLimit(design.rules, "maxFall", { boreMm });
  path.ownLegs.forEach((leg, index) => {
    if (most.value === null || leg.kind === "drop" || leg.planLengthMm === 0) return;
    const slopeMmPerM = ((leg.from.z - leg.to.z) / leg.planLengthMm) * 1000;
    if (isAtMost(slopeMmPerM, most.value)) return;
    findings.push(
      createFinding("note", { kind: "leg", lineId: at.id, index }, { code: "legTooSteep", slopeMmPerM }, most),
    );
  });
  const { inflowLps } = flow;
  if (flow.capacityLps !== null && flow.slope! > 0 && !isAtLeast(flow.capacityLps, inflowLps)) {
    const limit = lookUpLimit(design.rules, "drainFill");
    findings.push(createFinding("should", at, { code: "drainSlow", capacityLps: flow.capacityLps, inflowLps }, limit));
  }
  const clean = lookUpValue(design.rules, "cleanVelocity");
  if (flow.velocityMps > 0 && !isAtLeast(flow.velocityMps, clean)) {
    const limit = lookUpLimit(design.rules, "cleanVelocity");
    findings.push(createFinding("note", at, { code: "belowCleanVelocity", velocityMps: flow.velocityMps }, limit));
  }
  return findings;
}

// A pipe that goes through the floor at its own fall needs a slot, not a hole: it should turn down first.
function checkPassages(design: Design, { passages }: DrainResult): Finding[] {
  const limit = lookUpLimit(design.rules, "holeSlant");
  return passages.flatMap(({ lineId, legIndex, hole: { lengthMm, widthMm } }) =>
    isAtMost(lengthMm, (limit.value ?? Infinity) * widthMm)
      ? []
      : [
          createFinding(
            "should",
            { kind: "leg", lineId, index: legIndex },
            { code: "passageSlants", lengthMm, widthMm },
            limit,
          ),
        ],
  );
}

function checkBores(path: DrainPath): Finding[] {
  const findings: Finding[] = [];
  const pipeMm = path.pipe.innerMm;
  if (path.fixture.boreMm > pipeMm) {
    const numbers = { code: "narrowsDownstream", fromMm: path.fixture.boreMm, toMm: pipeMm } as const;
    findings.push(createFinding("should", { kind: "line", id: path.drain.id }, numbers));
  }
  const joined = path.chain[1];
  if (joined && pipeMm > joined.pipe.innerMm) {
    const numbers = { code: "narrowsDownstream", fromMm: pipeMm, toMm: joined.pipe.innerMm } as const;
    findings.push(
      createFinding("should", { kind: "leg", lineId: path.drain.id, index: path.ownLegs.length - 1 }, numbers),
    );
  }
  if (!joined && pipeMm > path.inlet.boreMm) {
    const numbers = { code: "narrowsDownstream", fromMm: pipeMm, toMm: path.inlet.boreMm } as const;
    findings.push(createFinding("should", { kind: "port", tankId: path.tank.id, id: path.inlet.id }, numbers));
  }
  return findings;
}
