import type { PartRef } from "../design/part";
import { toPartKey } from "../design/part";
import type { Finding, FindingCode } from "../evaluate/findings";
import type { FormulaId, Stand, Working } from "./working";

type Sought = { readonly formula: FormulaId; readonly stand?: Stand };

/** The sum behind each kind of finding; null where it is seen, not worked out. A code that is missing does not compile. */
const BEHIND: Readonly<Record<FindingCode, Sought | null>> = {
  noFixtureYet: null,
  noTankYet: null,
  fixtureUndrained: null,
  fixtureOutside: null,
  useOverfillsTank: null,
  nothingUsed: null,
  fixtureUncounted: null,
  urineInGrey: null,
  loopFouled: null,
  noWaterline: null,
  partOutside: null,
  partBelowSill: null,
  outletOpen: null,
  portFree: null,
  tankUnfed: null,
  parkedLevelOnly: null,
  legBackwards: { formula: "legFall", stand: "level" },
  legBackwardsParked: { formula: "legFall", stand: "worst" },
  legBelowMinFall: { formula: "legFall", stand: "level" },
  legBarely: { formula: "legFall", stand: "worst" },
  legTooSteep: { formula: "legFall", stand: "level" },
  legHitsObstacle: null,
  legInPart: null,
  pipesClash: null,
  trapMissing: null,
  trapInFloor: null,
  sealShallow: { formula: "trapSeal" },
  sealSlops: { formula: "sealDriving" },
  sealDeep: { formula: "trapSeal" },
  sealTogether: null,
  sealSucked: null,
  trapSiphons: null,
  trapArmLong: { formula: "trapArm" },
  runsFull: null,
  drainSlow: { formula: "drainCapacity" },
  belowCleanVelocity: { formula: "drainVelocity" },
  passageSlants: { formula: "floorHole" },
  narrowsDownstream: null,
  branchAgainstFlow: null,
  teeOnTheFlat: null,
  siphonedByOthers: null,
  floodedByOthers: null,
  branchBends: null,
  branchDrops: null,
  branchOverloaded: null,
  ventAtTrap: null,
  tankUnvented: null,
  ventDips: null,
  ventPortNarrow: null,
  ventEndsLow: null,
  ventTeeLow: null,
  ventSharesFresh: null,
  ventInRoom: null,
  ventEndNear: null,
  ventEndsInside: null,
  ventNoMesh: null,
  crashLeftOut: null,
  sharedAirSucks: null,
  fixingWeak: { formula: "boltUse" },
  fixingUnrated: null,
  hoseKinks: null,
  hoseSmells: null,
  sumpNoPump: null,
  sumpOutrun: null,
  sumpCycles: null,
  gmEaten: null,
  toiletNotBlack: null,
  toiletNarrow: null,
  floatOverRim: null,
  deckFittingBelow: null,
  outletIntoBilge: null,
  hullUnknown: null,
  stabilityUnknown: null,
  seaInFixture: null,
  seaAtEnd: null,
  intakeNearWaste: null,
  noState: null,
  pumpUnstrained: null,
  loopUntreated: null,
  lampCooks: null,
  uvWeak: null,
  heaterUnrelieved: null,
  heaterUnmixed: null,
  tanksHeel: null,
  partOffHull: null,
  joinedWithoutGap: null,
  toiletLongRun: null,
  loopUnderBowl: null,
  toiletUnused: null,
  flushShort: null,
  fixingMissing: null,
  fixingTips: null,
  fixingSlides: null,
  fixingNoPlate: null,
  fixingScrewed: null,
  dumpLineHigh: null,
  dumpLineFlat: null,
  dumpLineOpen: null,
  dumpLineFull: null,
  dumpLinesMix: null,
  dumpLineDirtiesFresh: null,
  blackOutletInside: null,
  dumpEndInside: null,
  portCrowded: null,
  portsOverlap: null,
  valveNarrow: null,
  fittingHitsObstacle: null,
  linkApart: null,
  senderReversed: null,
  senderLong: null,
  axleOverloaded: null,
  axleUnrated: null,
  couplingLifted: null,
  obstaclesOverlap: null,
  flapInDrain: null,
  trapsInSeries: null,
  trapUnreachable: null,
  trapFreezes: { formula: "sealFrost" },
  sealBlown: { formula: "sealPressure" },
  holeSmall: { formula: "floorHole" },
  holeNearEdge: null,
  drillTowards: null,
  touchesRamp: null,
  ventDrownsFirst: { formula: "tankFull", stand: "worst" },
  fixtureDrownsFirst: { formula: "tankFull", stand: "worst" },
  pumpOutSucks: null,
  pumpSucks: null,
  ventThrottles: { formula: "dumpSuction" },
  tankNoOutlet: null,
  inletDrownsEarly: { formula: "tankFull", stand: "worst" },
  tankPressed: null,
  tankBelowSill: null,
  dumpLeaves: null,
  tankHitsObstacle: null,
  tanksClash: null,
  tankInFloor: null,
  airGapLow: null,
  tapWeak: null,
  gearClashes: null,
  gearFreezes: null,
  gearShutIn: null,
  wasteEndsStay: { formula: "storeDays", stand: "level" },
  useBeyondFresh: null,
  endsOnGround: null,
  seacockMissing: null,
  metalUnfit: null,
  clampsFew: null,
  loopLow: null,
  fittingOffHull: null,
  fittingDomestic: null,
  metalsMeet: null,
  backingMissing: null,
  tailUnfit: null,
  handleBlocked: null,
  fittingShared: null,
  iceboxOpen: null,
  lineOffHull: null,
  waterOverDeck: null,
  floatsNowhere: null,
  weightDiffers: null,
  gearPortOpen: null,
  pumpCurveRises: null,
  pumpNeverStops: null,
  accumulatorHard: null,
  uvBlind: null,
  floatReversed: null,
  filterOrder: null,
  pumpsInRow: null,
  waterFouled: null,
  seaComesIn: null,
  hoseComesOff: null,
  blackOverboard: null,
  tankOverfills: null,
  tankRunsOut: null,
  nonReturnAgainst: null,
  pumpRunsDry: null,
  pumpDeadHead: null,
  ontoGround: null,
};

/** The working that a finding rests on, at the attitude it was found at; null when no sum stands behind it. */
export function findWorking(finding: Finding, workings: readonly Working[]): Working | null {
  const sought = BEHIND[finding.code];
  if (!sought) return null;
  const isSought = ({ formula, stand, attitude, at, result }: Working): boolean =>
    formula === sought.formula &&
    stand === (sought.stand ?? null) &&
    (!("attitude" in finding) || isSame(attitude, finding.attitude)) &&
    (finding.code === "fixtureDrownsFirst" ? result.value === finding.litres : isSamePlace(at, finding.at));
  return workings.find(isSought) ?? null;
}

const isSame = (a: Working["attitude"], b: NonNullable<Working["attitude"]>): boolean =>
  a?.pitchDeg === b.pitchDeg && a.rollDeg === b.rollDeg;

// a finding on a line, its trap or a port rests on a sum of the same line or tank
const isSamePlace = (a: PartRef, b: PartRef): boolean => toPartKey(a) === toPartKey(b) || toWhole(a) === toWhole(b);

function toWhole(at: PartRef): string | number {
  switch (at.kind) {
    case "line":
    case "tank":
      return at.id;
    case "trap":
      return at.lineId;
    case "store":
      return at.id;
    case "port":
      return at.tankId;
    default:
      return Number.NaN;
  }
}
