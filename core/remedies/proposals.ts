import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import type { Drain, Tank } from "../design/plumbing";
import { USUAL_CLASS } from "../design/rig";
import { buildCountLoads } from "../edits/countEdits";
import {
  buildAddDumpLine,
  buildFitDumpValve,
  buildLeadDumpLineOut,
  buildOpenDumpLine,
  buildRegradeDumpLine,
} from "../edits/dumpLineEdits";
import { startChain } from "../edits/editChain";
import { buildAddFixture } from "../edits/fixtureEdits";
import { hangTank } from "../edits/hangTank";
import { buildFitPad } from "../edits/padEdits";
import { buildFitPumpOut } from "../edits/pumpOutEdits";
import { buildAddPort, buildRemovePort } from "../edits/tankEdits";
import { buildCountFlush } from "../edits/toiletEdits";
import type { Finding, FindingCode } from "../evaluate/findings";
import { toBlock } from "../fit/obstacleBlock";
import { toTankBlock } from "../fit/obstacleGaps";
import { findSideThrough } from "../fit/sideBlocks";
import { followDumpLine } from "../tanks/dumpWays";
import { proposeWiderAir, proposeWiderPort, proposeWiderVents } from "./airRemedies";
import { proposeToiletWay, proposeWiderWay, proposeWiderWayDown } from "./boreRemedies";
import { proposeLegOut, proposeOutOfFloor, proposePipesApart, proposeTanksApart } from "./clashRemedies";
import {
  proposeAside,
  proposeLegAside,
  proposeLegClear,
  proposePartClear,
  proposeVentEndClear,
  toMissingMm,
} from "./clearRemedies";
import { proposeDropInLeg, proposeUprightLeg } from "./dropRemedies";
import { proposeUsualEnvelope } from "./envelopeRemedies";
import { proposeFallRemedies } from "./fallRemedies";
import { GEAR_PROPOSALS } from "./gearProposals";
import { proposePlumbed } from "./gearRemedies";
import { proposePartInside } from "./insideRemedies";
import { proposeHigher, proposeOneLevel, proposeOverTank, proposeWithTank } from "./liftRemedies";
import { HEELED } from "./loopRemedy";
import { proposeCanister, proposeOwnVessel } from "./ownVesselRemedy";
import {
  proposeBarrierHose,
  proposeBranchVent,
  proposeCleanout,
  proposeCount,
  proposeHigherInlet,
  proposeMesh,
  proposeOneTrap,
  proposeOutlet,
  proposeOwnEnd,
  proposeSeat,
  proposeTeeLift,
  proposeToiletUse,
  proposeTrap,
  proposeVent,
  proposeVentLift,
  proposeVentRise,
  proposeWiderPipe,
  proposeWye,
} from "./partRemedies";
import {
  proposeAlongWall,
  proposeApart,
  proposeDrain,
  proposeInside,
  proposeLessUse,
  proposeTurnedBranch,
  proposeWiderHole,
} from "./placeRemedies";
import { proposeAcrossTop, proposeAlongWallOf, proposeLowerOutlet } from "./portRemedies";
import type { Propose } from "./propose";
import type { Remedy } from "./remedy";
import { proposeLongerLeg } from "./roomRemedies";
import { proposeSeal, proposeShallowerSeal, proposeSteadyAir, proposeSteadySeal } from "./sealRemedies";
import { proposeFlatter, proposeShrunk } from "./smallerTank";
import { proposeBolts, proposeBoltsAside, proposeHold, proposeSenderIn, proposeWiderValve } from "./specRemedies";
import { proposeSteadyTrap, proposeTrapOutOfFloor, proposeWaterless } from "./trapRemedies";
import { UNAIDED } from "./unaided";

// With its breather, and afloat with its pump-out.
function proposeFirstTank(design: Design): Remedy[] {
  const chain = startChain(design);
  const { id } = hangTank(chain, { holds: "grey", name: FIRST_TANK_NAME, near: null });
  return [{ byMm: null, edit: { code: "addTank", at: { kind: "tank", id }, ops: chain.ops() } }];
}

/** What may settle each kind of finding; null where nothing simple does. A code that is missing does not compile. */
const PROPOSALS: { readonly [C in FindingCode]: Propose<C> | null } = {
  ...UNAIDED,
  ...GEAR_PROPOSALS,
  noFixtureYet: (design) => [{ byMm: null, edit: buildAddFixture(design, "kitchenSink", FIRST_FIXTURE_NAME) }],
  noTankYet: proposeFirstTank,
  parkedLevelOnly: () => proposeUsualEnvelope(),
  endsOnGround: (design, _finding, { drain }) => (drain ? proposeCanister(design, drain) : []),
  fixtureUndrained: (design, { at }) =>
    at.kind === "fixture" ? [...proposePlumbed(design, at), ...proposeDrain(design, at.id)] : [],
  fixtureOutside: (design, finding) => (finding.at.kind === "fixture" ? proposeInside(design, finding.at.id) : []),
  useOverfillsTank: (_design, finding) =>
    finding.at.kind === "fixture" ? proposeLessUse(finding.at.id, finding.safeL) : [],
  fixtureUncounted: (design) => proposeCount(design),
  urineInGrey: (design, finding) => {
    const { at } = finding;
    const fixture = design.fixtures.find(({ id }) => at.kind === "fixture" && id === at.id);
    const own = fixture && findDrainOf(design, fixture.id);
    // what is poured down a sink goes elsewhere; the sink does not
    return own && fixture?.kind === "urineDiverter" ? proposeOwnVessel(design, own, OWN_VESSEL_NAME) : [];
  },
  legTooShort: (design, finding) => {
    const line = findLineOf(design, finding);
    return line ? proposeLongerLeg(design, line, finding) : [];
  },
  outletOpen: (design, { at }) => {
    const edit = at.kind === "port" ? buildFitDumpValve(design, { fromTank: at.tankId, fromPort: at.id }) : null;
    return edit ? [{ byMm: null, edit }] : [];
  },
  portFree: (design, { at }) => {
    const edit = at.kind === "port" ? buildRemovePort(design, at.tankId, at.id) : null;
    return edit ? [{ byMm: null, edit }] : [];
  },
  legBackwards: (design, _finding, { drain }) => (drain ? proposeFallRemedies(design, drain) : []),
  legBackwardsParked: (design, _finding, { drain }) => (drain ? proposeFallRemedies(design, drain) : []),
  legBelowMinFall: (design, _finding, { drain }) => (drain ? proposeFallRemedies(design, drain) : []),
  legBarely: (design, _finding, { drain }) => (drain ? proposeFallRemedies(design, drain) : []),
  legHitsObstacle: (design, finding) => (finding.at.kind === "leg" ? proposeClear(design, finding.at, finding) : []),
  legTooSteep: (design, { at }, { drain }) =>
    drain && at.kind === "leg" ? proposeDropInLeg(design, drain, at.index) : [],
  passageSlants: (design, { at }) => {
    const line = at.kind === "leg" ? findLine(design, at.lineId) : undefined;
    if (!line || at.kind !== "leg") return [];
    return line.kind === "drain" ? proposeDropInLeg(design, line, at.index) : proposeUprightLeg(design, line, at.index);
  },
  runsFull: (design, _finding, { drain }) =>
    drain ? [...proposeBranchVent(design, drain), ...proposeWiderPipe(drain)] : [],
  floodedByOthers: (design, { at }) => (at.kind === "fixture" ? proposeWiderWayDown(design, at.id) : []),
  sealDeep: (design, _finding, { drain }) => (drain ? proposeShallowerSeal(design, drain) : []),
  sealBlown: (design, { at }, { drain }) => (drain ? proposeSteadyAir(design, at, drain) : []),
  sealSucked: (design, { at }, { drain }) => (drain ? proposeSteadyAir(design, at, drain) : []),
  sealTogether: (design, { at }, { drain }) => (drain ? proposeSteadyAir(design, at, drain) : []),
  sharedAirSucks: (design) => proposeWiderVents(design),
  airTogether: (design) => proposeWiderVents(design),
  iceboxOpen: (design, { at }) => {
    const own = at.kind === "fixture" ? findDrainOf(design, at.id) : undefined;
    return own ? proposeTrap(design, own) : [];
  },
  fixtureDrownsFirst: (design, { at }) =>
    at.kind === "fixture"
      ? proposeOverTank(
          design,
          at.id,
          design.tanks.map(({ id }) => id),
        )
      : [],
  ventDrownsFirst: (_design, { at }, { tank }) => (tank && at.kind === "port" ? proposeAcrossTop(tank, at) : []),
  dumpLeaves: (_design, _finding, { tank }) => (tank ? proposeLowerOutlet(tank) : []),
  linkApart: (design, _finding, { tank }) => (tank ? proposeOneLevel(design, tank) : []),
  holeNearEdge: (design, { at }) => proposeHoleAside(design, at),
  drillTowards: (design, { at }) => proposeHoleAside(design, at),
  fittingHitsObstacle: (design, { at }) =>
    at.kind === "port"
      ? [...proposeAside(design, at, "shiftPort"), ...proposeAside(design, { kind: "tank", id: at.tankId })].sort(
          (a, b) => a.byMm! - b.byMm!,
        )
      : [],
  legInPart: proposeLegOut,
  pipesClash: proposePipesApart,
  trapMissing: (design, _finding, { drain }) => (drain ? proposeTrap(design, drain) : []),
  trapInFloor: (design, finding, { drain }) => (drain ? proposeTrapOutOfFloor(design, drain, finding) : []),
  sealShallow: (design, _finding, { drain }) => (drain ? proposeSeal(design, drain) : []),
  sealSlops: (design, finding, { drain }) =>
    drain ? [...proposeSteadySeal(design, drain, finding), ...proposeWaterless(design, drain)] : [],
  trapSiphons: proposeSteadyTrap,
  trapArmLong: (design, _finding, { drain }) =>
    drain
      ? [...proposeBranchVent(design, drain), ...proposeDropInLeg(design, drain, 0), ...proposeWaterless(design, drain)]
      : [],
  drainSlow: (_design, _finding, { drain }) => (drain ? proposeWiderPipe(drain) : []),
  narrowsDownstream: (design, finding, { drain }) => proposeWiderWay(design, drain, finding),
  branchAgainstFlow: (design, _finding, { drain }) => (drain ? proposeTurnedBranch(design, drain) : []),
  teeOnTheFlat: (_design, _finding, { drain }) => (drain ? proposeWye(drain) : []),
  siphonedByOthers: proposeSteadyTrap,
  branchBends: proposeSteadyTrap,
  branchDrops: proposeSteadyTrap,
  branchOverloaded: (_design, _finding, { drain }) => (drain ? proposeWiderPipe(drain) : []),
  ventAtTrap: (design, _finding, { drain }) => (drain ? proposeBranchVent(design, drain) : []),
  tankUnvented: (design, _finding, { tank }) => (tank ? proposeVent(design, tank) : []),
  ventDips: (design, finding) => {
    const { at } = finding;
    return at.kind === "bend" ? proposeVentLift(design, at, finding.deepMm) : [];
  },
  ventEndsLow: (design, _finding, { vent }) => (vent ? proposeVentRise(design, vent) : []),
  ventTeeLow: (design, finding) => {
    const { at } = finding;
    return at.kind === "bend" ? proposeTeeLift(design, at, finding.byMm) : [];
  },
  ventSharesFresh: (design, _finding, { vent }) => (vent ? proposeOwnEnd(design, vent) : []),
  ventPortNarrow: (design, { at }) =>
    design.lines.flatMap((line) =>
      line.kind === "vent" && at.kind === "port" && line.fromTank === at.tankId && line.fromPort === at.id
        ? proposeWiderPort(design, line)
        : [],
    ),
  crashLeftOut: ({ rig }) => {
    const ops: EditOp[] = [{ op: "set", path: ["rig", "crashClass"], value: USUAL_CLASS[rig.kind] }];
    return [{ byMm: null, edit: { code: "reckonCrash", at: { kind: "rig" }, ops } }];
  },
  ventNoMesh: (_design, _finding, { vent }) => (vent ? proposeMesh(vent) : []),
  ventEndsInside: (design, _finding, { vent }) => (vent ? proposeAlongWall(design, vent) : []),
  ventInRoom: (design, _finding, { vent }) => (vent ? proposeAlongWall(design, vent) : []),
  ventEndNear: (design, finding, { vent }) => (vent ? proposeVentEndClear(design, vent, finding) : []),
  hoseSmells: (design, finding) => (finding.at.kind === "line" ? proposeBarrierHose(design, finding.at.id) : []),
  outletInside: (design, _finding, { tank }) => (tank ? proposeDumpLines(design, tank) : []),
  outletIntoBilge: (design, _finding, { tank }) => (tank ? proposePumpOut(design, tank) : []),
  seaAtEnd: (design, { wantedMm, overMm }, { vent }) =>
    vent && vent.pointsMm.length > 0
      ? proposeVentLift(
          design,
          { kind: "bend", lineId: vent.id, index: vent.pointsMm.length - 1 },
          (wantedMm - overMm) * HEELED,
        )
      : [],
  flushShort: (design) => {
    const edit = buildCountFlush(design);
    return edit ? [{ byMm: null, edit }] : [];
  },
  loadShort: (design) => {
    const edit = buildCountLoads(design);
    return edit ? [{ byMm: null, edit }] : [];
  },
  toiletUnused: (design) => proposeToiletUse(design),
  dumpLineHigh: (design, finding) => proposeForDumpLine(design, finding),
  dumpLineFlat: (design, finding) => proposeForDumpLine(design, finding),
  dumpLineOpen: (design, finding) => proposeForDumpLine(design, finding),
  dumpLineFull: (design, finding) => proposeForDumpLine(design, finding),
  dumpLinesMix: (design, finding) => proposeForDumpLine(design, finding),
  dumpLineDirtiesFresh: (design, finding) => proposeOwnCoupling(design, finding),
  blackOutletInside: (design, { at }, { tank }) => {
    const port = tank?.ports.find(({ id }) => at.kind === "port" && id === at.id);
    const edit = tank && port ? buildAddDumpLine(design, tank, port) : null;
    return edit ? [{ byMm: null, edit }] : [];
  },
  portCrowded: (design, { at, lineId }) => (at.kind === "port" ? proposeApart(design, at, lineId) : []),
  portsOverlap: (design, { at }, { tank }) => (tank && at.kind === "port" ? proposeAlongWallOf(design, tank, at) : []),
  portOffWall: (_design, { at }, { tank }) => (tank && at.kind === "port" ? proposeSeat(tank, at.id) : []),
  senderUndrawn: (design, _finding, { tank }) =>
    tank ? [{ byMm: null, edit: buildAddPort(design, tank, "sender") }] : [],
  trapsInSeries: (_design, _finding, { drain }) => (drain ? proposeOneTrap(drain) : []),
  trapUnreachable: (_design, finding, { drain }) => (drain ? proposeCleanout(drain, finding.at.kind === "bend") : []),
  holeSmall: ({ lines }, finding) => {
    const { at } = finding;
    const line = at.kind === "leg" ? lines.find(({ id }) => id === at.lineId) : undefined;
    return line && at.kind === "leg" ? proposeWiderHole(line, at.index, finding) : [];
  },
  pumpOutSucks: (design, finding, { vent }) => (vent ? proposeWiderAir(design, vent, finding.leastBoreMm) : []),
  pumpSucks: (design, finding, { vent }) => (vent ? proposeWiderAir(design, vent, finding.leastBoreMm) : []),
  ventThrottles: (design, finding, { vent }) => (vent ? proposeWiderAir(design, vent, finding.leastBoreMm) : []),
  // an outlet in a hull lets its water go into the bilge
  tankNoOutlet: (design, _finding, { tank }) =>
    !tank ? [] : design.rig.kind === "boat" ? proposePumpOut(design, tank) : proposeOutlet(tank),
  inletDrownsEarly: (design, finding, { tank }) =>
    tank && finding.at.kind === "port" ? proposeHigherInlet(design, tank, finding.at.id) : [],
  tankHitsObstacle: (design, finding, { tank }) => {
    const obstacle = design.obstacles.find((o) => o.id === finding.obstacleId);
    if (!tank || !obstacle) return [];
    const part = { kind: "tank", id: tank.id } as const;
    const own = toTankBlock(tank);
    // out of a cabinet's side it may go inward too
    const side = findSideThrough(own, obstacle);
    const [other, clearMm] = side ? [side, 0] : [toBlock(obstacle), finding.limit?.value ?? 0];
    return [...proposePartClear(design, part, own, other, clearMm), ...proposeShrunk(tank, own, other, clearMm)];
  },
  tanksClash: proposeTanksApart,
  tankInFloor: (design, finding, { tank }) =>
    tank
      ? [...proposeOutOfFloor(design, tank, finding.deepMm), ...proposeFlatter(tank, "top", finding.deepMm + 1)]
      : [],
  padWeak: (_design, { wantedW }, { tank }) => {
    const edit = tank ? buildFitPad(tank, wantedW) : null;
    return edit ? [{ byMm: null, edit }] : [];
  },
  partOutside: proposePartInside,
  partSticksOut: proposePartInside,
  partBelowSill: (design, { at, byMm }) => [...proposeHigher(design, at, byMm), ...proposeWithTank(design, at, byMm)],
  tankBelowSill: (design, { at, byMm }, { tank }) => [
    ...proposeHigher(design, at, byMm),
    ...(tank ? proposeFlatter(tank, "bottom", byMm) : []),
  ],
  touchesRamp: (design, { at }, { tank }) => [
    ...proposeHigher(design, at),
    ...(tank ? proposeFlatter(tank, "bottom") : []),
  ],
  valveNarrow: (_design, { at }, { tank }) => (tank ? proposeWiderValve(tank, at) : []),
  senderLong: (_design, _finding, { tank }) => (tank ? proposeSenderIn(tank) : []),
  senderBeside: (_design, _finding, { tank }) => (tank ? proposeSenderIn(tank) : []),
  toiletNarrow: proposeToiletWay,
  dumpEndInside: (design, { at }) => {
    const edit = at.kind === "line" ? buildLeadDumpLineOut(design, at.id) : null;
    return edit ? [{ byMm: null, edit }] : [];
  },
  senderReversed: (_design, { at }, { tank }) =>
    tank?.sender && tank.sender.lowMm > tank.sender.highMm
      ? [
          {
            byMm: null,
            edit: {
              code: "swapMarks",
              at,
              ops: [
                { op: "set", path: ["tanks", tank.id, "sender", "lowMm"], value: tank.sender.highMm },
                { op: "set", path: ["tanks", tank.id, "sender", "highMm"], value: tank.sender.lowMm },
              ],
            },
          },
        ]
      : [],
  fixingNoPlate: (_design, _finding, { tank }) => (tank ? proposeHold(tank, "fitPlates", { hasPlate: true }) : []),
  fixingSlides: (_design, _finding, { tank }) => (tank ? proposeHold(tank, "fitEndStops", { hasEndStop: true }) : []),
  fixingScrewed: (_design, _finding, { tank }) =>
    tank ? proposeHold(tank, "throughBolts", { fastener: "through", hasPlate: true }) : [],
  fixingTips: (design, _finding, { tank }) => (tank ? proposeBolts(design, tank) : []),
  fixingWeak: (design, _finding, { tank }) => (tank ? proposeBolts(design, tank) : []),
  fixingMissing: (design, _finding, { tank }) => (tank ? proposeBolts(design, tank) : []),
  boltHits: (_design, _finding, { tank }) => (tank ? proposeBoltsAside(tank) : []),
  boltOffFloor: (_design, _finding, { tank }) => (tank ? proposeBoltsAside(tank) : []),
  boltThroughSkin: (_design, _finding, { tank }) => (tank ? proposeBoltsAside(tank) : []),
};

/** Edits that may settle a finding, none of them tried yet. */
export function listCandidates(design: Design, finding: Finding): readonly Remedy[] {
  const propose = PROPOSALS[finding.code] as Propose<FindingCode> | null;
  const line = findLineOf(design, finding);
  const drain = line?.kind === "drain" ? line : null;
  const vent = line?.kind === "vent" ? line : null;
  return propose?.(design, finding, { drain, vent, tank: findTank(design, finding) }) ?? [];
}

const proposeDumpLines = (design: Design, tank: Tank): Remedy[] =>
  tank.ports.flatMap((port) => {
    const edit = port.kind === "outlet" ? buildAddDumpLine(design, tank, port) : null;
    return edit ? [{ byMm: null, edit }] : [];
  });

/** Names of our own for what a remedy puts in; the builder may give others. */
const proposePumpOut = (design: Design, tank: Tank): Remedy[] => [
  { byMm: null, edit: buildFitPumpOut(design, tank, `${tank.name} pump-out`.slice(0, 80)) },
];

const FIRST_TANK_NAME = "Grey tank";
const FIRST_FIXTURE_NAME = "Kitchen sink";
/** A name of our own for a vessel that is hung by a remedy; the builder may give it another. */
const OWN_VESSEL_NAME = "Urine tank";

const findDrainOf = ({ lines }: Design, fixtureId: string): Drain | undefined =>
  lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === fixtureId);

const findLine = (design: Design, id: string) => design.lines.find((line) => line.id === id);

function proposeForDumpLine(design: Design, { at, code }: Finding): Remedy[] {
  const line = findLine(design, at.kind === "line" ? at.id : at.kind === "leg" ? at.lineId : "");
  if (line?.kind !== "dumpLine") return [];
  const isFall = code === "dumpLineHigh" || code === "dumpLineFlat";
  // what is too flat or too high may lie in a line it joins
  const edits = isFall
    ? followDumpLine(design, line).map((one) => buildRegradeDumpLine(design, one.line))
    : [buildFitDumpValve(design, line)];
  return edits.flatMap((edit) => (edit ? [{ byMm: null, edit }] : []));
}

function proposeOwnCoupling(design: Design, { at }: Finding): Remedy[] {
  const edit = at.kind === "line" ? buildOpenDumpLine(design, at.id) : null;
  return edit ? [{ byMm: null, edit }] : [];
}

function findLineOf(design: Design, { at }: Finding) {
  const id = "lineId" in at ? at.lineId : at.kind === "line" ? at.id : null;
  return id === null ? undefined : findLine(design, id);
}

function findTank(design: Design, { at }: Finding) {
  const id = at.kind === "tank" ? at.id : at.kind === "port" ? at.tankId : null;
  return design.tanks.find((tank) => tank.id === id) ?? null;
}

function proposeHoleAside(design: Design, at: Finding["at"]): Remedy[] {
  const line = at.kind === "leg" ? findLine(design, at.lineId) : undefined;
  return line && at.kind === "leg" ? proposeLegAside(line, at) : [];
}

function proposeClear(
  design: Design,
  at: { readonly lineId: string; readonly index: number },
  finding: Extract<Finding, { code: "legHitsObstacle" }>,
): Remedy[] {
  const line = findLine(design, at.lineId);
  return line ? proposeLegClear(line, at, toMissingMm(finding)) : [];
}
