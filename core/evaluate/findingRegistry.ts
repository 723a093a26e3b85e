import type { Finding } from "./findings";

export type FindingCode = Finding["code"];

/** Areas in which findings are put into words; three of them come only with rigs that have something of theirs (`domains`). */
export type WordArea = "fall" | "air" | "tank" | "gear" | "heads" | "hull";

/** Where a finding is worked on; `part` is where its part is. */
type Place = "part" | "falls" | "tanks" | "air" | "through" | "heads" | "loop";

/** Every finding there is: the area that words it, and the station it is worked on. A code that is missing does not compile. */
export const FINDINGS = {
  noFixtureYet: ["fall", "falls"],
  noTankYet: ["tank", "tanks"],
  fixtureUndrained: ["fall", "part"],
  fixtureOutside: ["fall", "part"],
  useOverfillsTank: ["tank", "part"],
  urineInGrey: ["tank", "part"],
  legBackwards: ["fall", "part"],
  legBackwardsParked: ["fall", "part"],
  legBelowMinFall: ["fall", "part"],
  legBarely: ["fall", "part"],
  legTooSteep: ["fall", "part"],
  legHitsObstacle: ["fall", "part"],
  trapMissing: ["air", "part"],
  trapInFloor: ["air", "part"],
  sealShallow: ["air", "part"],
  sealSlops: ["air", "part"],
  sealDeep: ["air", "part"],
  sealTogether: ["air", "air"],
  sealSucked: ["air", "air"],
  trapSiphons: ["air", "air"],
  trapArmLong: ["air", "air"],
  runsFull: ["fall", "part"],
  drainSlow: ["fall", "part"],
  belowCleanVelocity: ["fall", "part"],
  passageSlants: ["fall", "through"],
  narrowsDownstream: ["fall", "part"],
  branchAgainstFlow: ["fall", "part"],
  teeOnTheFlat: ["fall", "part"],
  siphonedByOthers: ["air", "part"],
  floodedByOthers: ["air", "part"],
  tankUnvented: ["air", "air"],
  ventDips: ["air", "air"],
  ventEndsLow: ["air", "air"],
  ventTeeLow: ["air", "air"],
  ventSharesFresh: ["air", "air"],
  ventInRoom: ["air", "air"],
  ventEndNear: ["air", "air"],
  sharedAirSucks: ["air", "air"],
  fixingWeak: ["tank", "part"],
  fixingUnrated: ["tank", "part"],
  hoseKinks: ["heads", "heads"],
  hoseSmells: ["heads", "heads"],
  sumpNoPump: ["heads", "heads"],
  sumpOutrun: ["heads", "heads"],
  sumpCycles: ["heads", "heads"],
  gmEaten: ["heads", "heads"],
  toiletNotBlack: ["heads", "heads"],
  toiletNarrow: ["heads", "heads"],
  toiletLongRun: ["heads", "heads"],
  loopUnderBowl: ["heads", "heads"],
  toiletUnused: ["heads", "heads"],
  fixingMissing: ["tank", "part"],
  fixingTips: ["tank", "part"],
  fixingSlides: ["tank", "part"],
  fixingNoPlate: ["tank", "part"],
  fixingScrewed: ["tank", "part"],
  dumpLineHigh: ["tank", "tanks"],
  dumpLineFlat: ["tank", "tanks"],
  dumpLineOpen: ["tank", "tanks"],
  dumpLineFull: ["tank", "tanks"],
  dumpEndInside: ["tank", "tanks"],
  portsOverlap: ["tank", "part"],
  valveNarrow: ["tank", "part"],
  fittingHitsObstacle: ["tank", "part"],
  linkApart: ["tank", "part"],
  senderLong: ["tank", "part"],
  axleOverloaded: ["tank", "part"],
  obstaclesOverlap: ["fall", "part"],
  flapInDrain: ["air", "part"],
  trapsInSeries: ["air", "part"],
  trapUnreachable: ["air", "part"],
  trapFreezes: ["air", "part"],
  sealBlown: ["air", "air"],
  holeSmall: ["fall", "through"],
  holeNearEdge: ["fall", "through"],
  drillTowards: ["fall", "through"],
  touchesRamp: ["fall", "part"],
  ventDrownsFirst: ["air", "air"],
  fixtureDrownsFirst: ["air", "part"],
  ventThrottles: ["air", "air"],
  tankNoOutlet: ["tank", "part"],
  inletDrownsEarly: ["tank", "part"],
  tankBelowSill: ["tank", "part"],
  tankHitsObstacle: ["tank", "part"],
  wasteEndsStay: ["tank", "part"],
  useBeyondFresh: ["tank", "part"],
  endsOnGround: ["fall", "part"],
  seacockMissing: ["gear", "through"],
  metalUnfit: ["gear", "through"],
  clampsFew: ["gear", "through"],
  loopLow: ["gear", "heads"],
  fittingOffHull: ["hull", "through"],
  fittingDomestic: ["hull", "through"],
  metalsMeet: ["hull", "through"],
  backingMissing: ["hull", "through"],
  tailUnfit: ["hull", "through"],
  handleBlocked: ["hull", "through"],
  fittingShared: ["hull", "through"],
  iceboxOpen: ["hull", "part"],
  lineOffHull: ["hull", "part"],
  waterOverDeck: ["hull", "part"],
  floatsNowhere: ["hull", "part"],
  weightDiffers: ["hull", "part"],
  gearPortOpen: ["gear", "part"],
  pumpCurveRises: ["gear", "part"],
  uvBlind: ["gear", "part"],
  floatReversed: ["gear", "part"],
  filterOrder: ["gear", "part"],
  pumpsInRow: ["gear", "part"],
  waterFouled: ["gear", "loop"],
  seaComesIn: ["gear", "loop"],
  hoseComesOff: ["gear", "loop"],
  blackOverboard: ["gear", "loop"],
  tankOverfills: ["gear", "loop"],
  tankRunsOut: ["gear", "loop"],
  nonReturnAgainst: ["gear", "part"],
  pumpRunsDry: ["gear", "part"],
  pumpDeadHead: ["gear", "part"],
  ontoGround: ["fall", "part"],
} as const satisfies Readonly<Record<FindingCode, readonly [WordArea, Place]>>;

type CodeOf<A extends WordArea> = {
  [C in FindingCode]: (typeof FINDINGS)[C][0] extends A ? C : never;
}[FindingCode];

/** The findings of an area of words. */
export type FindingOf<A extends WordArea> = Extract<Finding, { readonly code: CodeOf<A> }>;

/** The area that words a finding. */
export const toWordArea = ({ code }: Finding): WordArea => FINDINGS[code][0];

/** The station a finding is worked on, or null where its part says so. */
export function toPlace({ code }: Finding): Exclude<Place, "part"> | null {
  const place = FINDINGS[code][1];
  return place === "part" ? null : place;
}
