import { computeTankAir } from "../air/tankAir";
import { type Attitude, computeUp, isLevel, LEVEL } from "../attitude/attitude";
import { computeStay } from "../days/daysToFull";
import type { Design, RulesChoice } from "../design/design";
import type { Drain, Tank } from "../design/plumbing";
import { computeDrainFlow } from "../falls/drainFlow";
import { buildDrainPath, type DrainPath, type Leg } from "../falls/drainPath";
import { computeFallBudget, type FallBudget } from "../falls/fallBudget";
import { buildNetwork, type Network } from "../falls/network";
import { computePonds } from "../falls/ponding";
import { listPassages, measureFloorMm } from "../fit/passages";
import { measureCapacityL } from "../geometry/solid";
import { type Limit, lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { listOpenings } from "../tanks/openings";
import { computeLeftBehindL, computeTankFull, type TankFull } from "../tanks/tankLevels";
import { computeSealRisks } from "../traps/sealRisks";
import { computeTrapArm } from "../traps/trapArm";
import { computeTrapWater } from "../traps/trapSeal";
import { checkDesign } from "./checkDesign";
import { checkDrain } from "./checkDrain";
import { checkJunctions } from "./checkJunctions";
import { checkTank } from "./checkTank";
import type { AtWorst, DrainResult, Evaluation, StayResult, TankResult } from "./evaluation";
import { sortFindings } from "./findings";
import { listParkedStandings, type Standing } from "./parkedAttitudes";

/** Nothing dries in no time at all: a builder's own nought, or less, is read as this, mm a week. */
const LEAST_EVAPORATION_MM = 0.01;

/**
 * Whole-design evaluation: pure, deterministic, never throws for a design that passed `parseDesign`.
 * Pitch and roll in [−20, 20]°, as the schema's attitude.
 */
export function evaluate(design: Design, attitude: Attitude = LEVEL): Evaluation {
  const parked = listParkedStandings(design.rig);
  const network = buildNetwork(design);
  const paths = [...network.drains.values()].map((drain) => buildDrainPath(design, drain, network));
  const falls = new Map(paths.map(({ drain }) => [drain.id, lookUpFalls(design.rules, drain)]));
  const drains = paths.map((path) => evaluateDrain(design, path, falls, attitude, parked));
  const tanks = design.tanks.map((tank) => evaluateTank(design, tank, network, attitude, parked));
  const stay = evaluateStay(design, drains, tanks);
  const findings = sortFindings([
    ...paths.flatMap((path, i) => checkDrain(design, path, drains[i]!, parked)),
    ...checkJunctions(design, network, paths),
    ...design.tanks.flatMap((tank, i) => checkTank(design, tank, tanks[i]!)),
    ...checkDesign(design, stay),
  ]);
  return { attitude, drains, tanks, stay, findings };
}

type FallLimits = { readonly minFall: Limit; readonly parkedFall: Limit };

const lookUpFalls = (rules: RulesChoice, { pipe, branchVent }: Drain): FallLimits => ({
  minFall: lookUpLimit(rules, "minFall", { boreMm: pipe.innerMm, vented: branchVent !== null }),
  parkedFall: lookUpLimit(rules, "parkedFall", { boreMm: pipe.innerMm }),
});

function evaluateDrain(
  design: Design,
  path: DrainPath,
  falls: ReadonlyMap<string, FallLimits>,
  attitude: Attitude,
  parked: readonly Standing[],
): DrainResult {
  const { rules } = design;
  const boreMm = path.pipe.innerMm;
  const { minFall, parkedFall } = falls.get(path.drain.id)!;
  // after a junction the pipe of the drain that is joined has limits of its own
  const toMinFall = (leg: Leg) => falls.get(leg.lineId)!.minFall.value ?? 0;
  const toParkedFall = (leg: Leg) => falls.get(leg.lineId)!.parkedFall.value ?? 0;
  const up = computeUp(attitude);
  const level = computeFallBudget(path, computeUp(LEVEL), toMinFall);
  const ponds = computePonds(path, up);
  const arm = computeTrapArm(
    path,
    parked.map((p) => p.attitude),
  );
  const armLimit = lookUpLimit(rules, "trapArm", { boreMm });
  return {
    lineId: path.drain.id,
    fixtureId: path.fixture.id,
    tankId: path.tank.id,
    outletMm: path.outletMm,
    nodesMm: path.nodesMm,
    legs: path.legs,
    level,
    here: isLevel(attitude) ? level : computeFallBudget(path, up, toParkedFall),
    worst: findWorstBudget(path, parked, toParkedFall),
    minFall,
    parkedFall,
    ponds,
    pondedL: ponds.reduce((sum, pond) => sum + (pond.legIndex < path.ownLegs.length ? pond.litres : 0), 0),
    ownLegs: path.ownLegs.length,
    flow: computeDrainFlow(path, lookUpValue(rules, "drainFill")),
    trapWater: computeTrapWater(path, up),
    sealRisks: computeSealRisks(
      path.drain.trap,
      lookUpValue(rules, "drivingPush"),
      Math.max(lookUpValue(rules, "evaporation"), LEAST_EVAPORATION_MM),
    ),
    arm,
    armLimit,
    armAllowedMm: armLimit.value ?? arm.boreFallMm,
    passages: listPassages(path, measureFloorMm(design), Math.max(0, lookUpValue(rules, "holeClearance"))),
  };
}

function findWorstBudget(
  path: DrainPath,
  parked: readonly Standing[],
  toLeastMmPerM: (leg: Leg) => number,
): AtWorst<FallBudget> {
  let worst: AtWorst<FallBudget> | null = null;
  for (const { attitude, up } of parked) {
    const budget = computeFallBudget(path, up, toLeastMmPerM);
    if (!worst || budget.inHandMm < worst.inHandMm) worst = { ...budget, attitude };
  }
  return worst!;
}

function evaluateTank(
  design: Design,
  tank: Tank,
  network: Network,
  attitude: Attitude,
  parked: readonly Standing[],
): TankResult {
  const openings = listOpenings(design, network, tank);
  const level = computeTankFull(tank, openings, computeUp(LEVEL));
  const here = isLevel(attitude) ? level : computeTankFull(tank, openings, computeUp(attitude));
  let worst: AtWorst<TankFull> | null = null;
  for (const { attitude: at, up } of parked) {
    const full = computeTankFull(tank, openings, up);
    if (!worst || full.litres < worst.litres) worst = { ...full, attitude: at };
  }
  const leftL = computeLeftBehindL(tank, computeUp(design.rig.dumpAttitude));
  const toUsable = (full: TankFull) => Math.max(0, full.litres - (leftL ?? 0));
  return {
    tankId: tank.id,
    capacityL: measureCapacityL(tank.solid),
    level,
    here,
    worst: worst!,
    leftL,
    air: computeTankAir(design, tank, lookUpValue(design.rules, "ventSuction"), network),
    usableLevelL: toUsable(level),
    usableHereL: toUsable(here),
    usableWorstL: toUsable(worst!),
  };
}

function evaluateStay(design: Design, drains: readonly DrainResult[], tanks: readonly TankResult[]): StayResult | null {
  const fed = tanks.filter((tank) => drains.some((drain) => drain.tankId === tank.tankId));
  if (fed.length === 0) return null;
  const stayOn = (pick: (tank: TankResult) => number) =>
    computeStay(
      design.habits,
      fed.reduce((sum, tank) => sum + pick(tank), 0),
    );
  return {
    level: stayOn((tank) => tank.usableLevelL),
    here: stayOn((tank) => tank.usableHereL),
    worst: stayOn((tank) => tank.usableWorstL),
  };
}
