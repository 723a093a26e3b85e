import { computeUp, LEVEL } from "../attitude/attitude";
import type { Surroundings } from "../design/design";
import type { DrainPath } from "../falls/drainPath";
import { listShortLegs } from "../falls/fittingRoom";
import { computePonds } from "../falls/ponding";
import { measureLegGaps } from "../fit/obstacleGaps";
import { toCodeBoreMm } from "../parts/pipes";
import { isAtLeast, isAtMost } from "../quantity/tolerance";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { checkObstacleGaps } from "./checkObstacleGaps";
import { checkPassages } from "./checkPassages";
import { checkToilet } from "./checkToilet";
import { checkTraps } from "./checkTraps";
import { createFinding } from "./createFinding";
import type { DrainResult } from "./evaluation";
import type { Finding } from "./findings";
import { computeLayToleranceMm } from "./layTolerance";
import { measureLegSlacks } from "./legSlack";
import type { Standing } from "./parkedAttitudes";

/** Everything that can be said against one drain, in the order the water meets it. */
export function checkDrain(
  design: Surroundings,
  path: DrainPath,
  result: DrainResult,
  parked: readonly Standing[],
): Finding[] {
  return [
    // said once, at the drain whose end it is
    ...(path.drain.to.kind === "ground"
      ? [createFinding({ kind: "end", lineId: path.drain.id }, { code: "endsOnGround" })]
      : []),
    ...checkToilet(path),
    ...checkTraps(design, path, result),
    ...checkLegs(design, path, result, parked),
    ...checkRoom(path),
    ...checkFlow(design, path, result),
    ...checkBores(path),
    ...checkPassages(design, result.passages),
    ...path.ownLegs.flatMap((_, legIndex) =>
      checkObstacleGaps(design, measureLegGaps(design, path, legIndex), ({ obstacle, gapMm, within }, limit) =>
        createFinding(
          { kind: "leg", lineId: path.drain.id, index: legIndex },
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
    ),
  ];
}

// One finding a leg: the one that says most. Backwards on level ground, then backwards where it is parked, then too flat.
function checkLegs(
  { rules }: Surroundings,
  path: DrainPath,
  result: DrainResult,
  parked: readonly Standing[],
): Finding[] {
  const slacks = measureLegSlacks(
    path,
    parked,
    (leg) => result.minFalls[leg.index]?.value ?? 0,
    result.parkedFall.value ?? 0,
  );
  const upright = computeUp(LEVEL);
  return path.ownLegs.flatMap((leg, index): Finding[] => {
    if (leg.kind === "drop") return [];
    const at = { kind: "leg", lineId: path.drain.id, index } as const;
    const slack = slacks[index]!;
    const minFall = result.minFalls[index]!;
    const shortMm = -slack.leastMm;
    const fallMm = result.level.legs[index]!.fallMm;
    const slopeMmPerM = leg.planLengthMm > 0 ? (fallMm / leg.planLengthMm) * 1000 : 0;
    const litresAt = (up: typeof upright) =>
      computePonds(path, up).find((pond) => pond.legIndex === index)?.litres ?? 0;
    if (fallMm < 0) {
      return [createFinding(at, { code: "legBackwards", fallMm, shortMm, litres: litresAt(upright) }, minFall)];
    }
    if (!isAtLeast(slack.parkedMm, 0)) {
      const { attitude } = slack.parkedAt;
      const litres = litresAt(slack.parkedAt.up);
      return [createFinding(at, { code: "legBackwardsParked", attitude, shortMm, litres }, result.parkedFall)];
    }
    if (!isAtLeast(slack.levelMm, 0)) {
      return [createFinding(at, { code: "legBelowMinFall", slopeMmPerM, shortMm }, minFall)];
    }
    const toleranceMm = computeLayToleranceMm(rules, leg.planLengthMm);
    if (leg.planLengthMm > 0 && !isAtLeast(slack.leastMm, toleranceMm)) {
      const numbers = { code: "legBarely", inHandMm: slack.leastMm, toleranceMm, lengthMm: leg.lengthMm } as const;
      return [createFinding(at, numbers, lookUpLimit(rules, "layTolerance"))];
    }
    return [];
  });
}

// Two bends so near each other that they do not go together; said of a drain's own legs, up to the one it joins.
const checkRoom = ({ drain, ownLegs }: DrainPath): Finding[] =>
  listShortLegs(ownLegs).map(({ leg, lengthMm, needsMm }) =>
    createFinding({ kind: "leg", lineId: drain.id, index: leg.index }, { code: "legTooShort", lengthMm, needsMm }),
  );

function checkFlow(design: Surroundings, path: DrainPath, result: DrainResult): Finding[] {
  const { flow } = result;
  const at = { kind: "line", id: path.drain.id } as const;
  const findings: Finding[] = [];
  const boreMm = toCodeBoreMm(path.pipe);
  const most = lookUpLimit(design.rules, "maxFall", { boreMm });
  path.ownLegs.forEach((leg, index) => {
    if (most.value === null || leg.kind === "drop" || leg.planLengthMm === 0) return;
    const slopeMmPerM = ((leg.from.z - leg.to.z) / leg.planLengthMm) * 1000;
    if (isAtMost(slopeMmPerM, most.value)) return;
    findings.push(createFinding({ kind: "leg", lineId: at.id, index }, { code: "legTooSteep", slopeMmPerM }, most));
  });
  const { inflowLps } = flow;
  if (flow.capacityLps !== null && flow.slope! > 0 && !isAtLeast(flow.capacityLps, inflowLps)) {
    const limit = lookUpLimit(design.rules, "drainFill");
    findings.push(createFinding(at, { code: "drainSlow", capacityLps: flow.capacityLps, inflowLps }, limit));
  }
  // a bowl let go: the pipe fills, which the trap must stand and others feel
  const { surge } = flow;
  if (surge && surge.surgeLps > inflowLps && !isAtLeast(surge.capacityLps, surge.surgeLps)) {
    const legAt = { kind: "leg", lineId: at.id, index: surge.legIndex } as const;
    const { capacityLps, surgeLps } = surge;
    const limit = lookUpLimit(design.rules, "drainFill");
    findings.push(createFinding(legAt, { code: "runsFull", capacityLps, surgeLps }, limit));
  }
  const clean = lookUpValue(design.rules, "cleanVelocity");
  if (flow.velocityMps > 0 && !isAtLeast(flow.velocityMps, clean)) {
    const limit = lookUpLimit(design.rules, "cleanVelocity");
    findings.push(createFinding(at, { code: "belowCleanVelocity", velocityMps: flow.velocityMps }, limit));
  }
  return findings;
}

// Where the way of the water gets narrower: at the fixture, at each change of pipe, at the junction, at the tank.
function checkBores(path: DrainPath): Finding[] {
  const { drain, fixture, ownLegs, legs, chain, inlet, tank } = path;
  const findings: Finding[] = [];
  const narrows = (at: Finding["at"], fromMm: number, toMm: number) => {
    if (fromMm > toMm) findings.push(createFinding(at, { code: "narrowsDownstream", fromMm, toMm }));
  };
  narrows({ kind: "line", id: drain.id }, fixture.boreMm, path.pipe.innerMm);
  ownLegs.forEach((leg, i) => {
    const next = ownLegs[i + 1];
    if (next) narrows({ kind: "bend", lineId: drain.id, index: i }, leg.pipe.innerMm, next.pipe.innerMm);
  });
  const lastMm = ownLegs.at(-1)!.pipe.innerMm;
  const joined = legs[ownLegs.length];
  if (chain.length > 1 && joined) {
    narrows({ kind: "leg", lineId: drain.id, index: ownLegs.length - 1 }, lastMm, joined.pipe.innerMm);
  }
  if (chain.length === 1 && tank && inlet)
    narrows({ kind: "port", tankId: tank.id, id: inlet.id }, lastMm, inlet.boreMm);
  return findings;
}
