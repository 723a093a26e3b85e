import { type Airs, computeAirs, findSuction } from "../air/airs";
import { type Attitude, computeUp, isLevel, LEVEL } from "../attitude/attitude";
import { computeBalance } from "../days/balance";
import type { Design, RulesChoice, Surroundings } from "../design/design";
import { findBranchVent, findLineTrap, findTrap } from "../design/lineItems";
import type { Drain, Tank, Trap } from "../design/plumbing";
import { computeDrainFlow } from "../falls/drainFlow";
import { buildDrainPath, type DrainPath, findPipeOf, type Leg, measureLineTrapSpanMm } from "../falls/drainPath";
import { computeFallBudget, computeFallInHandMm, type FallBudget } from "../falls/fallBudget";
import { buildNetwork, followDrain, type Network } from "../falls/network";
import { computePonds } from "../falls/ponding";
import { listLows } from "../fit/lows";
import { listPassages } from "../fit/passages";
import { measureRampAngles } from "../fit/rampAngles";
import { readNight } from "../frost/night";
import { measureCapacityL } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { createRecall } from "../quantity/recall";
import { type Limit, lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { listLevelGroup } from "../tanks/linkedTanks";
import { listOpenings } from "../tanks/openings";
import { computeLeftBehindL, computeTankFull, type TankFull } from "../tanks/tankLevels";
import { computeUndrawnL } from "../tanks/undrawn";
import { computeSealAfterMm } from "../traps/sealPressure";
import { computeDrivingLossMm, computeSealRisks, readEvaporationMm } from "../traps/sealRisks";
import { computeTrapArm, measureArmFallMm } from "../traps/trapArm";
import {
  computeSealAfterSiphonMm,
  computeSealUnderMm,
  computeTogetherMm,
  computeTrapFrostHours,
  type TrapAir,
  type TrapRisks,
} from "../traps/trapRisks";
import { computeLeastSealMm, computeTrapWater } from "../traps/trapSeal";
import { checkBolts } from "./checkBolts";
import { checkClashes } from "./checkClashes";
import { checkDesign } from "./checkDesign";
import { checkDrain } from "./checkDrain";
import { checkLineLegs, listLinePassages } from "./checkLineLegs";
import { checkRamps } from "./checkRamps";
import { checkReceivers } from "./checkReceivers";
import { checkTank } from "./checkTank";
import { checkTrapAir } from "./checkTraps";
import { checkUses } from "./checkUses";
import { type Check, DOMAIN_IDS, type DomainId, FITTED_IDS, type FittedId, findFitted, type Judged } from "./domains";
import type { AtWorst, DrainResult, Evaluation, TankResult } from "./evaluation";
import { type Finding, sortFindings } from "./findings";
import { listParkedStandings, type Standing } from "./parkedAttitudes";

const CHECKS: Readonly<Record<Exclude<DomainId, FittedId | "drains">, Check>> = {
  trapAir: ({ trapAirs }) => trapAirs.flatMap(checkTrapAir),
  lines: ({ design, linePassages }) => checkLineLegs(design, linePassages),
  clashes: ({ design, paths }) => [...checkClashes(design, paths), ...checkBolts(design, paths)],
  ramps: ({ design, ramps, lows }) => checkRamps(design, ramps, lows),
  tanks: ({ design, network, tanks }) => design.tanks.flatMap((tank, i) => checkTank(design, network, tank, tanks[i]!)),
  uses: ({ design, network, paths, tanks }) => [
    ...checkReceivers(design, network, paths),
    ...checkUses(design, network, tanks),
  ],
  whole: ({ design, balance }) => checkDesign(design, balance),
};

const isFitted = (id: DomainId): id is FittedId => (FITTED_IDS as readonly DomainId[]).includes(id);

/**
 * Whole-design evaluation: pure, deterministic, never throws for a design that passed `parseDesign`, but `DomainMissing` for one
 * that has something of an area whose checks are not loaded (`evaluate` has them all).
 * Pitch and roll in [−20, 20]°, as the schema's attitude.
 */
export function evaluate(design: Design, attitude: Attitude = LEVEL): Evaluation {
  const steps = judgeInSteps(design, attitude);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/**
 * The same, one piece after the other, for a page that comes up: the first time each piece is run its code is compiled, and
 * together that holds up a hand. What it is at the end is `evaluate`.
 */
export function* judgeInSteps(design: Design, attitude: Attitude = LEVEL): Generator<void, Evaluation, void> {
  const parked = listParkedStandings(design.rig);
  const network = buildNetwork(design);
  const paths = [...network.drains.values()].map((drain) => layPath(design, drain, network));
  const falls = new Map(paths.map(({ drain, ownLegs }) => [drain.id, lookUpFalls(design.rules, drain, ownLegs)]));
  yield;
  const airs = computeAirs(design, network);
  const judged: JudgedDrain[] = [];
  for (const path of paths) {
    yield;
    const { rig, obstacles, rules } = design;
    const given = [path, rig, obstacles, rules, attitude.pitchDeg, attitude.rollDeg];
    const judge = () => {
      const result = evaluateDrain({ design, path, falls, attitude, parked });
      return { result, findings: checkDrain(design, path, result, parked) };
    };
    judged.push(recallDrain(path.drain, given, judge));
  }
  const drains = judged.map(({ result }) => result);
  yield;
  const tanks = design.tanks.map((tank) => evaluateTank({ design, tank, network, attitude, parked, airs }));
  yield;
  const balance = computeBalance(design, network, tanks);
  const trapAirs = computeTrapAirs(design, paths, airs, parked);
  yield;
  const lows = listLows(design, paths);
  const ramps = measureRampAngles(design, paths, lows);
  const linePassages = listLinePassages(design);
  const whole: Judged = { design, network, paths, trapAirs, linePassages, ramps, lows, tanks, balance };
  const always: Readonly<Record<Exclude<DomainId, FittedId>, Check>> = {
    ...CHECKS,
    drains: () => judged.flatMap((one) => one.findings),
  };
  const findings: Finding[] = [];
  for (const id of DOMAIN_IDS) {
    yield;
    findings.push(...(isFitted(id) ? findFitted(id, design) : always[id])(whole));
  }
  const told = new Set<string>();
  // what two drains do to one part is said of it once
  const each = findings.filter(({ id }) => !told.has(id) && told.add(id));
  return { attitude, drains, tanks, linePassages, trapAirs, ramps, balance, findings: sortFindings(each) };
}

type FallLimits = { readonly minFalls: readonly Limit[]; readonly parkedFall: Limit };

// A rule for the least fall goes by the bore, so a change of pipe along the drain changes it.
function lookUpFalls(rules: RulesChoice, drain: Drain, legs: readonly Leg[]): FallLimits {
  const { pipe } = drain;
  const vented = findBranchVent(drain) !== null;
  const own = lookUpLimit(rules, "minFall", { boreMm: toCodeBoreMm(pipe), vented });
  return {
    minFalls: legs.map((leg) =>
      leg.pipe === pipe ? own : lookUpLimit(rules, "minFall", { boreMm: toCodeBoreMm(leg.pipe), vented }),
    ),
    parkedFall: lookUpLimit(rules, "parkedFall", { boreMm: toCodeBoreMm(pipe) }),
  };
}

type JudgedDrain = { readonly result: DrainResult; readonly findings: readonly Finding[] };

const recallDrain = createRecall<Drain, JudgedDrain>();
const recallLastPath = createRecall<Drain, DrainPath>();

// All that the way of a drain hangs on, asked before it is laid out anew: the drains it runs through, their fixtures, where the
// last of them ends, and the water in each leg.
function layPath(design: Design, drain: Drain, network: Network): DrainPath {
  const chain = followDrain(network, drain);
  // to ask what a long chain hangs on would take as long as laying it out
  if (chain.length > SHORT_CHAIN) return recallPath(buildDrainPath(design, drain, network));
  const { to } = chain.at(-1)!;
  const end =
    to.kind === "inlet" ? network.tanks.get(to.tankId) : "gearId" in to ? network.gear.get(to.gearId) : undefined;
  const from = [
    ...chain,
    ...chain.map(({ fromFixture }) => network.fixtures.get(fromFixture)),
    end,
    ...chain.map(({ id }) => network.inflowsLps.get(id)),
    ...chain.map(({ id }) => network.surgesLps.get(id)),
  ];
  return recallLaid(drain, from, () => buildDrainPath(design, drain, network));
}

const recallLaid = createRecall<Drain, DrainPath>();
/** Hardly a rig has more drains joined one to the next. */
const SHORT_CHAIN = 8;

// A long way through the same drains to the same end, with as much water coming in, is the same way.
const recallPath = (path: DrainPath): DrainPath =>
  recallLastPath(
    path.drain,
    [
      path.fixture,
      path.tank,
      // where it ends in gear no tank says so
      path.nodesMm.at(-1),
      ...path.chain,
      ...path.enteredAtMm,
      ...path.legs.flatMap((leg) => [leg.inflowLps, leg.surgeLps]),
    ],
    () => path,
  );

type DrainInput = {
  readonly design: Surroundings;
  readonly path: DrainPath;
  readonly falls: ReadonlyMap<string, FallLimits>;
  readonly attitude: Attitude;
  readonly parked: readonly Standing[];
};

function evaluateDrain({ design, path, falls, attitude, parked }: DrainInput): DrainResult {
  const { rules } = design;
  const boreMm = toCodeBoreMm(path.pipe);
  const { minFalls, parkedFall } = falls.get(path.drain.id)!;
  const minFall = minFalls[0]!;
  // after a junction the pipe of the drain that is joined has limits of its own
  const toMinFall = (leg: Leg) => falls.get(leg.lineId)!.minFalls[leg.index]!.value ?? 0;
  const toParkedFall = (leg: Leg) => falls.get(leg.lineId)!.parkedFall.value ?? 0;
  const up = computeUp(attitude);
  const level = computeFallBudget(path, computeUp(LEVEL), toMinFall);
  const ponds = computePonds(path, up);
  const arm = computeTrapArm(
    path,
    parked.map((p) => p.attitude),
  );
  const armLimit = lookUpLimit(rules, "trapArm", { boreMm, slopeMmPerM: 1000 * (arm.slope ?? Infinity) });
  return {
    lineId: path.drain.id,
    fixtureId: path.fixture.id,
    tankId: path.tank?.id ?? null,
    outletMm: path.outletMm,
    nodesMm: path.nodesMm,
    legs: path.legs,
    level,
    here: isLevel(attitude) ? level : computeFallBudget(path, up, toParkedFall),
    worst: findWorstBudget(path, parked, toParkedFall),
    minFall,
    minFalls,
    parkedFall,
    ponds,
    pondedL: ponds.reduce((sum, pond) => sum + (pond.legIndex < path.ownLegs.length ? pond.litres : 0), 0),
    ownLegs: path.ownLegs.length,
    flow: computeDrainFlow(path, lookUpValue(rules, "drainFill")),
    trapWater: computeTrapWater(path, up),
    trapRisks: computeRisks(design, path, findTrap(path.drain)),
    lineTrapRisks: computeRisks(design, path, toTrap(path)),
    arm,
    armFallMm: measureArmFallMm(path),
    armLimit,
    armAllowedMm: armLimit.value ?? arm.boreFallMm,
    passages: listPassages(design, path, Math.max(0, lookUpValue(rules, "holeClearance"))),
  };
}

function findWorstBudget(
  path: DrainPath,
  parked: readonly Standing[],
  toLeastMmPerM: (leg: Leg) => number,
): AtWorst<FallBudget> {
  const leastMmPerM = path.legs.map(toLeastMmPerM);
  let worst = parked[0]!;
  let leastMm = Infinity;
  for (const standing of parked) {
    const inHandMm = computeFallInHandMm(path, standing.up, leastMmPerM);
    if (inHandMm >= leastMm) continue;
    leastMm = inHandMm;
    worst = standing;
  }
  return { ...computeFallBudget(path, worst.up, toLeastMmPerM), attitude: worst.attitude };
}

// A running trap in the line, as a trap.
function toTrap({ drain }: DrainPath): Trap | null {
  const lineTrap = findLineTrap(drain);
  if (!lineTrap) return null;
  const { bend, sealMm, hasCleanout } = lineTrap;
  return { kind: "running", sealMm, dropMm: 0, spanMm: measureLineTrapSpanMm(drain, bend), hasCleanout };
}

function computeRisks(design: Surroundings, path: DrainPath, trap: Trap | null): TrapRisks | null {
  const { rules } = design;
  const evaporationMm = readEvaporationMm(rules);
  const risks = computeSealRisks(trap, lookUpValue(rules, "drivingPush"), evaporationMm);
  if (!risks || !trap) return null;
  const { drain, pipe, nodesMm } = path;
  const { sealMm } = trap;
  const lineTrap = trap === findTrap(drain) ? null : findLineTrap(drain);
  const atMm = lineTrap ? drain.bendsMm[lineTrap.bend]! : nodesMm[0]!;
  // in the line it may stand in another pipe than the drain begins in, and let out into a third
  const ownPipe = lineTrap ? findPipeOf(drain, lineTrap.bend) : pipe;
  const behind = lineTrap ? findPipeOf(drain, lineTrap.bend + 1) : pipe;
  const night = readNight(rules);
  return {
    ...risks,
    afterSiphonMm: computeSealAfterSiphonMm(
      sealMm,
      measureArmFallMm(path, lineTrap ? lineTrap.bend + 1 : 0),
      Math.min(ownPipe.innerMm, behind.innerMm),
    ),
    frostHours:
      atMm.z < 0 ? computeTrapFrostHours(trap, { ...ownPipe, insulationMm: drain.insulationMm }, night) : null,
  };
}

// A vent of the branch's own lets air in before the tank's suction comes to the trap; a valve keeps pressure in.
function computeTrapAirs(
  { rules }: Surroundings,
  paths: readonly DrainPath[],
  airs: Airs,
  parked: readonly Standing[],
): TrapAir[] {
  const evaporationMm = readEvaporationMm(rules);
  const push = lookUpValue(rules, "drivingPush");
  return paths.flatMap((path): TrapAir[] => {
    const { drain, tank } = path;
    // an end in the open has no tank behind it that could suck
    const fill = tank && airs.fills.get(tank.id);
    if (!tank || !fill) return [];
    const [trap, branchVent] = [findTrap(drain), findBranchVent(drain)];
    const lineTrap = findLineTrap(drain);
    const sucks = findSuction(airs, tank.id);
    // a vent of the branch stands between the tank and its trap; a trap in the line lies beyond it
    // a trap in the line is taken as it stands level: it is short and lies along the pipe
    const parkedMm = computeLeastSealMm(path, parked);
    const own =
      trap && trap.sealMm > 0 ? [{ bend: null, sealMm: trap.sealMm, vent: branchVent, spanMm: trap.spanMm }] : [];
    const spanMm = toTrap(path)?.spanMm ?? 0;
    const inLine = lineTrap ? [{ bend: lineTrap.bend, sealMm: lineTrap.sealMm, vent: null, spanMm }] : [];
    return [...own, ...inLine].map(({ bend, sealMm, vent, spanMm: span }): TrapAir => {
      const suctionPa = vent ? 0 : sucks.pa;
      const pressurePa = vent?.kind === "openPipe" ? 0 : fill.pa;
      return {
        lineId: drain.id,
        bend,
        sealMm,
        suctionPa,
        suctionBy: sucks.by,
        isShared: sucks.isShared,
        pressurePa,
        isPressureShared: fill.otherIds.length > 0,
        afterSuctionMm: computeSealAfterMm(sealMm, suctionPa),
        afterPressureMm: computeSealUnderMm(sealMm, pressurePa),
        togetherMm: computeTogetherMm(
          bend === null ? parkedMm : sealMm,
          evaporationMm,
          suctionPa,
          computeDrivingLossMm(span, push, sealMm),
        ),
      };
    });
  });
}

type TankInput = Omit<DrainInput, "design" | "path" | "falls"> & {
  readonly design: Design;
  readonly tank: Tank;
  readonly network: Network;
  readonly airs: Airs;
};

function evaluateTank({ design, tank, network, attitude, parked, airs }: TankInput): TankResult {
  const openings = listOpenings(design, network, tank);
  const level = computeTankFull(tank, openings, computeUp(LEVEL));
  const here = isLevel(attitude) ? level : computeTankFull(tank, openings, computeUp(attitude));
  const dumpUp = computeUp(design.rig.dumpAttitude);
  const leftL = computeLeftBehindL(tank, dumpUp, listLevelGroup(design, tank), design.lines);
  // waste is let go where the rig dumps; fresh water is drawn where it stands
  const isDrawn = tank.holds === "fresh";
  const stayL = (up: Vec3): number => (isDrawn ? computeUndrawnL(design, tank, up) : (leftL ?? 0));
  let worst: (AtWorst<TankFull> & { readonly staysL: number }) | null = null;
  for (const { attitude: at, up } of parked) {
    const full = computeTankFull(tank, openings, up);
    const staysL = stayL(up);
    if (!worst || full.litres - staysL < worst.litres - worst.staysL) worst = { ...full, attitude: at, staysL };
  }
  const { staysL: worstStaysL, ...atWorst } = worst!;
  const undrawnL = { level: stayL(computeUp(LEVEL)), here: stayL(computeUp(attitude)), worst: worstStaysL };
  return {
    tankId: tank.id,
    capacityL: measureCapacityL(tank.solid),
    level,
    here,
    worst: atWorst,
    leftL,
    undrawnL: isDrawn ? undrawnL : null,
    air: airs.own.get(tank.id) ?? null,
    sharedAir: airs.shared.get(tank.id) ?? null,
    together: airs.together.get(tank.id) ?? null,
    fill: airs.fills.get(tank.id) ?? null,
    draws: airs.draws.get(tank.id) ?? [],
    usableLevelL: Math.max(0, level.litres - undrawnL.level),
    usableHereL: Math.max(0, here.litres - undrawnL.here),
    usableWorstL: Math.max(0, atWorst.litres - undrawnL.worst),
  };
}
