import type { Finding, FindingCode, Severity } from "./findings";
import type { FITTED_FINDINGS } from "./fittedFindings";

/** Areas in which findings are put into words; six of them come only with rigs that have something of theirs (`domains`). */
export type WordArea = "fall" | "air" | "tank" | "gear" | "heads" | "hull" | "dump" | "joints" | "codes";

/** Where a finding is worked on; `part` is where its part is. */
type Place = "part" | "falls" | "tanks" | "air" | "through" | "heads" | "loop";

type Row = readonly [WordArea, Place, Severity | readonly Severity[]];
export type Rows = Readonly<Partial<Record<FindingCode, Row>>>;

const ALWAYS = {
  noFixtureYet: ["fall", "falls", "note"],
  noTankYet: ["tank", "tanks", "note"],
  parkedLevelOnly: ["fall", "part", "should"],
  noWaterline: ["fall", "part", ["must", "should"]],
  fixtureUndrained: ["fall", "part", "must"],
  fixtureOutside: ["fall", "part", "must"],
  partOutside: ["fall", "part", "must"],
  partSticksOut: ["fall", "part", "should"],
  partBelowSill: ["fall", "part", "should"],
  useOverfillsTank: ["tank", "part", ["must", "should"]],
  nothingUsed: ["tank", "part", "should"],
  urineInGrey: ["tank", "part", "should"],
  loopFouled: ["tank", "part", ["must", "should"]],
  legBackwards: ["fall", "part", "must"],
  legBackwardsParked: ["fall", "part", "must"],
  legBelowMinFall: ["fall", "part", "should"],
  legBarely: ["fall", "part", "should"],
  legTooShort: ["fall", "part", "should"],
  legTooSteep: ["fall", "part", "note"],
  legHitsObstacle: ["fall", "part", "must"],
  legInPart: ["fall", "part", "must"],
  pipesClash: ["fall", "part", "must"],
  trapMissing: ["air", "part", "must"],
  trapInFloor: ["air", "part", ["should", "note"]],
  sealShallow: ["air", "part", "should"],
  sealSlops: ["air", "part", "should"],
  sealDeep: ["air", "part", "note"],
  sealTogether: ["air", "air", "should"],
  sealSucked: ["air", "air", "must"],
  trapSiphons: ["air", "air", "should"],
  trapArmLong: ["air", "air", "should"],
  ventAtTrap: ["air", "air", ["should", "note"]],
  runsFull: ["fall", "part", "note"],
  drainSlow: ["fall", "part", "should"],
  belowCleanVelocity: ["fall", "part", "note"],
  passageSlants: ["fall", "through", "should"],
  narrowsDownstream: ["fall", "part", "should"],
  tankUnvented: ["air", "air", "must"],
  ventDips: ["air", "air", "should"],
  ventPortNarrow: ["air", "air", "should"],
  ventEndsLow: ["air", "air", "should"],
  ventTeeLow: ["air", "air", "should"],
  ventSharesFresh: ["air", "air", "must"],
  ventInRoom: ["air", "air", "should"],
  ventEndNear: ["air", "air", "should"],
  ventEndsInside: ["air", "air", ["must", "note"]],
  ventNoMesh: ["air", "air", "note"],
  fixingWeak: ["tank", "part", "must"],
  fixingUnrated: ["tank", "part", "should"],
  fixingMissing: ["tank", "part", "should"],
  fixingTips: ["tank", "part", "must"],
  fixingSlides: ["tank", "part", "should"],
  fixingNoPlate: ["tank", "part", "should"],
  fixingScrewed: ["tank", "part", "should"],
  boltHits: ["tank", "part", ["must", "note"]],
  boltOffFloor: ["tank", "part", "should"],
  portCrowded: ["tank", "part", "must"],
  outletOpen: ["tank", "tanks", "should"],
  portFree: ["tank", "tanks", "should"],
  tankUnfed: ["tank", "tanks", "should"],
  portOffWall: ["tank", "part", "must"],
  portsOverlap: ["tank", "part", "must"],
  valveNarrow: ["tank", "part", "note"],
  fittingHitsObstacle: ["tank", "part", "must"],
  linkApart: ["tank", "part", "must"],
  senderReversed: ["tank", "part", "must"],
  senderUndrawn: ["tank", "part", "note"],
  senderLong: ["tank", "part", "should"],
  senderBeside: ["tank", "part", "must"],
  axleOverloaded: ["tank", "part", "must"],
  axleUnrated: ["tank", "part", "note"],
  crashLeftOut: ["tank", "part", "note"],
  couplingLifted: ["tank", "part", "should"],
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
  tankPressed: ["tank", "tanks", "note"],
  tankBelowSill: ["tank", "part", "should"],
  dumpLeaves: ["tank", "part", ["should", "note"]],
  tankHitsObstacle: ["tank", "part", "must"],
  tanksClash: ["tank", "part", "must"],
  tankInFloor: ["tank", "part", "should"],
  wasteEndsStay: ["tank", "part", "note"],
  useBeyondFresh: ["tank", "part", "should"],
  endsOnGround: ["fall", "part", "should"],
  ontoGround: ["fall", "part", "note"],
} as const satisfies Rows;

type Every = typeof ALWAYS & typeof FITTED_FINDINGS;

/**
 * Every finding there is: the area that words it, the station it is worked on, and how severe it is; where that depends on
 * the case, what it may be. A code that is missing does not compile. Those of gear, heads, hull, dump lines and joints come with their checks.
 */
export const FINDINGS = { ...ALWAYS } as Every;

/** Puts the findings of the fitted areas in place; `core/evaluate/fitted` does so when it is loaded. */
export const fitFindings = (rows: typeof FITTED_FINDINGS): void => void Object.assign(FINDINGS, rows);

type CodeOf<A extends WordArea> = {
  [C in FindingCode]: Every[C][0] extends A ? C : never;
}[FindingCode];

/** Codes whose severity depends on the case. */
export type GradedCode = {
  [C in FindingCode]: Every[C][2] extends Severity ? never : C;
}[FindingCode];

/** What a finding that is graded by the case may be. */
export type SeverityOf<C extends GradedCode> = Every[C][2][number] & Severity;

/** The findings of an area of words. */
export type FindingOf<A extends WordArea> = Extract<Finding, { readonly code: CodeOf<A> }>;

/** The area that words a finding. */
export const toWordArea = ({ code }: Finding): WordArea => FINDINGS[code][0];

/** The station a finding is worked on, or null where its part says so. */
export function toPlace({ code }: Finding): Exclude<Place, "part"> | null {
  const place = FINDINGS[code][1];
  return place === "part" ? null : place;
}
