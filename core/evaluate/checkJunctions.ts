import type { Design } from "../design/design";
import { findBranchVent, findJunctionBend, findSealMm } from "../design/lineItems";
import type { DrainPath, Leg } from "../falls/drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "../falls/fallBudget";
import { computeFillRatio, computeManningFlow, FILL_AT_MOST_FLOW } from "../falls/manning";
import { type Network, sumSurgeOf } from "../falls/network";
import { dot, subtract, type Vec3, vec } from "../geometry/vec";
import { mmToM, radToDeg } from "../quantity/convert";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** More than a right angle between branch and flow, with a degree for the tape. */
export const AGAINST_DEG = 91;

/** What can be said against the places where drains join: the way they join, and one fixture flooding or siphoning another. */
export function checkJunctions(design: Design, network: Network, paths: readonly DrainPath[]): Finding[] {
  if (network.branches.size === 0) return [];
  const through = new Map<string, DrainPath[]>();
  for (const path of paths) {
    for (const leg of path.legs) {
      const key = toLegKey(leg);
      const others = through.get(key);
      if (others) others.push(path);
      else through.set(key, [path]);
    }
  }
  return [
    ...paths.flatMap(checkFitting),
    ...paths.flatMap((path) => checkSiphon(design, path, through)),
    ...paths.flatMap((path) => checkFlood(network, path)),
  ];
}

const toLegKey = ({ lineId, index }: Leg): string => `${lineId} ${index}`;

// Only where both lie: into an upright pipe any direction is as good as another, and a tee is made for it.
function checkFitting(path: DrainPath): Finding[] {
  const { to, id: lineId } = path.drain;
  // two points at one place are one: the pipe comes and goes as it does before and behind them
  const last = path.ownLegs.findLast(({ lengthMm }) => lengthMm > 0);
  const next = path.legs.slice(path.ownLegs.length).find(({ lengthMm }) => lengthMm > 0);
  if (!last) return [];
  if (to.kind !== "junction" || !next) return [];
  const at = { kind: "leg", lineId, index: last.index } as const;
  const angleDeg = measureJoinDeg(last, next);
  if (angleDeg === null) return [];
  if (angleDeg > AGAINST_DEG) return [createFinding(at, { code: "branchAgainstFlow", angleDeg })];
  return to.fitting === "tee" ? [createFinding(at, { code: "teeOnTheFlat" })] : [];
}

/** Angle in plan between what comes into a joint and what goes on from it, degrees; null where one of them does not lie. */
export function measureJoinDeg(last: Leg, next: Leg): number | null {
  if (last.kind === "drop" || next.kind === "drop" || last.planLengthMm === 0 || next.planLengthMm === 0) return null;
  const [comes, goes] = [toPlan(last), toPlan(next)];
  return radToDeg(Math.atan2(Math.abs(comes.x * goes.y - comes.y * goes.x), dot(comes, goes)));
}

const toPlan = (leg: Leg): Vec3 => {
  const along = subtract(leg.to, leg.from);
  return vec(along.x, along.y, 0);
};

const toSlope = (leg: Leg): number => {
  const fall = measureLegFallMm(leg, vec(0, 0, 1));
  return fall / measureLevelLengthMm(leg, fall);
};

const isRun = (leg: Leg): boolean => leg.kind === "run" && leg.planLengthMm > 0;

// What others send past a junction fills the shared pipe: beyond the fill allowed no air comes through it to this trap.
function checkSiphon(design: Design, path: DrainPath, through: ReadonlyMap<string, readonly DrainPath[]>): Finding[] {
  const { id: lineId } = path.drain;
  if (findSealMm(path.drain) === null || findBranchVent(path.drain)) return [];
  const most = lookUpLimit(design.rules, "drainFill");
  for (const leg of path.legs) {
    const others = (through.get(toLegKey(leg)) ?? []).filter(({ drain }) => drain.id !== lineId);
    if (!isRun(leg) || others.length === 0) continue;
    const othersLps = sumSurgeOf(others);
    if (othersLps <= 0) continue;
    const slope = toSlope(leg);
    if (slope <= 0) continue;
    const fillRatio = computeFillRatio(mmToM(leg.pipe.innerMm), othersLps / 1000, slope, leg.pipe.manningN) ?? 1;
    if (fillRatio <= (most.value ?? 1)) continue;
    const numbers = { code: "siphonedByOthers", fillRatio, othersLps } as const;
    return [createFinding({ kind: "trap", lineId }, numbers, most)];
  }
  return [];
}

// More water than the shared pipe takes at its fullest comes up where the lowest fixture is.
function checkFlood(network: Network, path: DrainPath): Finding[] {
  for (const leg of path.ownLegs) {
    if (!isRun(leg) || leg.inflowLps <= path.fixture.inflowLps) continue;
    const slope = toSlope(leg);
    if (slope <= 0) continue;
    const { flowM3PerS } = computeManningFlow(mmToM(leg.pipe.innerMm), FILL_AT_MOST_FLOW, slope, leg.pipe.manningN);
    const capacityLps = flowM3PerS * 1000;
    if (leg.surgeLps <= capacityLps) continue;
    const lowest = listFixturesAbove(network, path, leg.index).reduce((a, b) => (b.outletMm.z < a.outletMm.z ? b : a));
    const numbers = { code: "floodedByOthers", inflowLps: leg.surgeLps, capacityLps } as const;
    return [createFinding({ kind: "fixture", id: lowest.id }, numbers)];
  }
  return [];
}

function listFixturesAbove(network: Network, { drain, fixture }: Pick<DrainPath, "drain" | "fixture">, leg: number) {
  const open = [{ drain, leg }];
  const fixtures = [fixture];
  for (let next = open.pop(); next; next = open.pop()) {
    for (const branch of network.branches.get(next.drain.id) ?? []) {
      if (branch.to.kind !== "junction" || findJunctionBend(next.drain, branch.to) >= next.leg) continue;
      fixtures.push(network.fixtures.get(branch.fromFixture)!);
      open.push({ drain: branch, leg: branch.bendsMm.length });
    }
  }
  return fixtures;
}
