import type { Finding, FindingCode, Severity } from "./findings";

/** Areas in which findings are put into words; three of them come only with rigs that have something of theirs (`domains`). */
export type WordArea = "fall" | "air" | "tank" | "gear" | "heads" | "hull";

/** Where a finding is worked on; `part` is where its part is. */
type Place = "part" | "falls" | "tanks" | "air" | "through" | "heads" | "loop";

/**
 * Every finding there is: the area that words it, the station it is worked on, and how severe it is; where that depends on
 * the case, what it may be. A code that is missing does not compile.
 */
export const FINDINGS = {
  noFixtureYet: ["fall", "falls", "note"],
  noTankYet: ["tank", "tanks", "note"],
  parkedLevelOnly: ["fall", "part", "should"],
  noWaterline: ["fall", "part", ["must", "should"]],
  fixtureUndrained: ["fall", "part", "must"],
  fixtureOutside: ["fall", "part", "must"],
  partOutside: ["fall", "part", "must"],
  useOverfillsTank: ["tank", "part", ["must", "should"]],
  nothingUsed: ["tank", "part", "should"],
  urineInGrey: ["tank", "part", "should"],
  loopFouled: ["tank", "part", ["must", "should"]],
  legBackwards: ["fall", "part", "must"],
  legBackwardsParked: ["fall", "part", "must"],
  legBelowMinFall: ["fall", "part", "should"],
  legBarely: ["fall", "part", "should"],
  legTooSteep: ["fall", "part", "note"],
  legHitsObstacle: ["fall", "part", "must"],
  trapMissing: ["air", "part", "must"],
  trapInFloor: ["air", "part", ["should", "note"]],
  sealShallow: ["air", "part", "should"],
  sealSlops: ["air", "part", "should"],
  sealDeep: ["air", "part", "note"],
  sealTogether: ["air", "air", "should"],
  sealSucked: ["air", "air", "must"],
  trapSiphons: ["air", "air", "should"],
  trapArmLong: ["air", "air", "should"],
  runsFull: ["fall", "part", "note"],
  drainSlow: ["fall", "part", "should"],
  belowCleanVelocity: ["fall", "part", "note"],
  passageSlants: ["fall", "through", "should"],
  narrowsDownstream: ["fall", "part", "should"],
  branchAgainstFlow: ["fall", "part", "must"],
  teeOnTheFlat: ["fall", "part", "should"],
  siphonedByOthers: ["air", "part", "should"],
  floodedByOthers: ["air", "part", "should"],
  tankUnvented: ["air", "air", "must"],
  ventDips: ["air", "air", "should"],
  ventEndsLow: ["air", "air", "should"],
  ventTeeLow: ["air", "air", "should"],
  ventSharesFresh: ["air", "air", "must"],
  ventInRoom: ["air", "air", "should"],
  ventEndNear: ["air", "air", "should"],
  sharedAirSucks: ["air", "air", "should"],
  fixingWeak: ["tank", "part", "must"],
  fixingUnrated: ["tank", "part", "should"],
  hoseKinks: ["heads", "heads", "should"],
  hoseSmells: ["heads", "heads", ["should", "note"]],
  sumpNoPump: ["heads", "heads", "must"],
  sumpOutrun: ["heads", "heads", "must"],
  sumpCycles: ["heads", "heads", "should"],
  gmEaten: ["heads", "heads", "should"],
  toiletNotBlack: ["heads", "heads", "must"],
  toiletNarrow: ["heads", "heads", "must"],
  floatOverRim: ["heads", "heads", "must"],
  outletIntoBilge: ["heads", "part", "must"],
  stabilityUnknown: ["heads", "heads", "note"],
  seaInFixture: ["hull", "part", ["must", "should"]],
  intakeNearWaste: ["hull", "through", "should"],
  noState: ["gear", "loop", "should"],
  pumpUnstrained: ["gear", "part", "note"],
  loopUntreated: ["gear", "loop", ["must", "should"]],
  lampCooks: ["gear", "loop", "should"],
  uvWeak: ["gear", "loop", "should"],
  heaterUnrelieved: ["gear", "part", "must"],
  heaterUnmixed: ["gear", "part", "should"],
  tanksHeel: ["heads", "heads", "should"],
  partOffHull: ["hull", "part", "must"],
  joinedWithoutGap: ["gear", "loop", "should"],
  toiletLongRun: ["heads", "heads", "should"],
  loopUnderBowl: ["heads", "heads", "must"],
  toiletUnused: ["heads", "heads", "should"],
  fixingMissing: ["tank", "part", "should"],
  fixingTips: ["tank", "part", "must"],
  fixingSlides: ["tank", "part", "should"],
  fixingNoPlate: ["tank", "part", "should"],
  fixingScrewed: ["tank", "part", "should"],
  dumpLineHigh: ["tank", "tanks", "must"],
  dumpLineFlat: ["tank", "tanks", "should"],
  dumpLineOpen: ["tank", "tanks", "must"],
  dumpLineFull: ["tank", "tanks", ["should", "note"]],
  dumpEndInside: ["tank", "tanks", "note"],
  dumpLinesMix: ["tank", "tanks", ["must", "should"]],
  dumpLineDirtiesFresh: ["tank", "tanks", "must"],
  portCrowded: ["tank", "part", "must"],
  outletOpen: ["tank", "tanks", "should"],
  portsOverlap: ["tank", "part", "must"],
  valveNarrow: ["tank", "part", "note"],
  fittingHitsObstacle: ["tank", "part", "must"],
  linkApart: ["tank", "part", "must"],
  senderReversed: ["tank", "part", "must"],
  senderLong: ["tank", "part", "should"],
  axleOverloaded: ["tank", "part", "must"],
  obstaclesOverlap: ["fall", "part", "note"],
  flapInDrain: ["air", "part", "note"],
  trapsInSeries: ["air", "part", "should"],
  trapUnreachable: ["air", "part", "should"],
  trapFreezes: ["air", "part", "note"],
  sealBlown: ["air", "air", "must"],
  holeSmall: ["fall", "through", "must"],
  holeNearEdge: ["fall", "through", "should"],
  drillTowards: ["fall", "through", "note"],
  touchesRamp: ["fall", "part", "should"],
  ventDrownsFirst: ["air", "air", "should"],
  fixtureDrownsFirst: ["air", "part", "must"],
  ventThrottles: ["air", "air", ["must", "should"]],
  pumpOutSucks: ["air", "air", ["must", "should"]],
  pumpSucks: ["air", "air", ["must", "should"]],
  tankNoOutlet: ["tank", "part", "must"],
  inletDrownsEarly: ["tank", "part", "should"],
  tankBelowSill: ["tank", "part", "should"],
  tankHitsObstacle: ["tank", "part", "must"],
  wasteEndsStay: ["tank", "part", "note"],
  useBeyondFresh: ["tank", "part", "should"],
  endsOnGround: ["fall", "part", "should"],
  seacockMissing: ["gear", "through", ["must", "should"]],
  metalUnfit: ["gear", "through", ["must", "should"]],
  clampsFew: ["gear", "through", "should"],
  loopLow: ["gear", "heads", "must"],
  fittingOffHull: ["hull", "through", "must"],
  fittingDomestic: ["hull", "through", ["must", "should"]],
  metalsMeet: ["hull", "through", ["must", "note"]],
  backingMissing: ["hull", "through", "should"],
  tailUnfit: ["hull", "through", ["must", "should"]],
  handleBlocked: ["hull", "through", "should"],
  fittingShared: ["hull", "through", "must"],
  iceboxOpen: ["hull", "part", "should"],
  lineOffHull: ["hull", "part", "must"],
  waterOverDeck: ["hull", "part", "must"],
  floatsNowhere: ["hull", "part", "must"],
  weightDiffers: ["hull", "part", "note"],
  gearPortOpen: ["gear", "part", "should"],
  pumpCurveRises: ["gear", "part", "must"],
  pumpNeverStops: ["gear", "part", "should"],
  accumulatorHard: ["gear", "part", "should"],
  uvBlind: ["gear", "part", "must"],
  floatReversed: ["gear", "part", "must"],
  filterOrder: ["gear", "part", "should"],
  pumpsInRow: ["gear", "part", "note"],
  waterFouled: ["gear", "loop", "must"],
  seaComesIn: ["gear", "loop", ["must", "should"]],
  hoseComesOff: ["gear", "loop", ["should", "note"]],
  blackOverboard: ["gear", "loop", ["must", "should"]],
  tankOverfills: ["gear", "loop", ["should", "note"]],
  tankRunsOut: ["gear", "loop", ["must", "should"]],
  nonReturnAgainst: ["gear", "part", "must"],
  pumpRunsDry: ["gear", "part", ["should", "note"]],
  pumpDeadHead: ["gear", "part", ["should", "note"]],
  ontoGround: ["fall", "part", "note"],
} as const satisfies Readonly<Record<FindingCode, readonly [WordArea, Place, Severity | readonly Severity[]]>>;

type CodeOf<A extends WordArea> = {
  [C in FindingCode]: (typeof FINDINGS)[C][0] extends A ? C : never;
}[FindingCode];

/** Codes whose severity depends on the case. */
export type GradedCode = {
  [C in FindingCode]: (typeof FINDINGS)[C][2] extends Severity ? never : C;
}[FindingCode];

/** What a finding that is graded by the case may be. */
export type SeverityOf<C extends GradedCode> = (typeof FINDINGS)[C][2][number] & Severity;

/** The findings of an area of words. */
export type FindingOf<A extends WordArea> = Extract<Finding, { readonly code: CodeOf<A> }>;

/** The area that words a finding. */
export const toWordArea = ({ code }: Finding): WordArea => FINDINGS[code][0];

/** The station a finding is worked on, or null where its part says so. */
export function toPlace({ code }: Finding): Exclude<Place, "part"> | null {
  const place = FINDINGS[code][1];
  return place === "part" ? null : place;
}
