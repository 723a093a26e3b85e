import type { Attitude } from "../attitude/attitude";
import type { DischargePlace, SERVES } from "../design/gear";
import type { PartRef } from "../design/part";
import type { FixtureKind, HeldWater, PortKind } from "../design/plumbing";
import type { RampAngle } from "../fit/rampAngles";
import type { LoadCaseId } from "../fixing/fixing";
import type { Failure } from "../gear/settings";
import type { Limit } from "../rules/lookUpLimit";

/** must: do not drill yet. should: works, but will be regretted. note: worth knowing. */
export const SEVERITIES = ["must", "should", "note"] as const;
export type Severity = (typeof SEVERITIES)[number];

/** What the water of a fixture ends in: what a tank or canister holds, or where else it goes. */
export type Receiver = HeldWater | "ground" | "sump" | "overboard";

/** In which working state something happens, and with which single failure, if any. */
type InState = {
  readonly otherId: string;
  readonly stateName: string;
  readonly failure: Failure | null;
  readonly failedName: string | null;
};

type Numbers =
  | { readonly code: "noFixtureYet" }
  | { readonly code: "noTankYet" }
  | { readonly code: "fixtureUndrained" }
  | { readonly code: "fixtureOutside"; readonly byMm: number; readonly isAbove: boolean }
  | {
      readonly code: "useOverfillsTank";
      readonly useL: number;
      readonly holdsL: number;
      /** What it takes wherever the rig is parked, L. */
      readonly safeL: number;
      readonly otherId: string;
      readonly tankName: string;
    }
  | { readonly code: "nothingUsed"; readonly wayName: string }
  | { readonly code: "urineInGrey" }
  | { readonly code: "noWaterline" }
  | { readonly code: "partOutside"; readonly byMm: number }
  | { readonly code: "partBelowSill"; readonly byMm: number }
  | { readonly code: "outletOpen" }
  | { readonly code: "portFree" }
  | { readonly code: "parkedLevelOnly"; readonly isAfloat: boolean }
  | { readonly code: "pumpNeverStops"; readonly cutOutKPa: number; readonly shutOffKPa: number }
  | { readonly code: "accumulatorHard"; readonly prechargeKPa: number; readonly cutInKPa: number }
  | { readonly code: "loopFouled"; readonly fixtureKind: FixtureKind }
  | { readonly code: "legBackwards"; readonly fallMm: number; readonly shortMm: number; readonly litres: number }
  | {
      readonly code: "legBackwardsParked";
      readonly attitude: Attitude;
      readonly shortMm: number;
      readonly litres: number;
    }
  | { readonly code: "legBelowMinFall"; readonly slopeMmPerM: number; readonly shortMm: number }
  | { readonly code: "legBarely"; readonly inHandMm: number; readonly toleranceMm: number; readonly lengthMm: number }
  | { readonly code: "legTooSteep"; readonly slopeMmPerM: number }
  | {
      readonly code: "legHitsObstacle";
      readonly obstacleId: string;
      readonly obstacleName: string;
      readonly gapMm: number;
    }
  /** A line that goes through a tank or a piece of gear; its own tank, which it is joined to, or another's. */
  | {
      readonly code: "legInPart";
      readonly otherId: string;
      readonly otherName: string;
      readonly isOwn: boolean;
    }
  | {
      readonly code: "pipesClash";
      readonly otherId: string;
      readonly otherName: string;
      readonly otherLeg: number;
      readonly deepMm: number;
    }
  | { readonly code: "trapMissing" }
  | {
      readonly code: "trapInFloor";
      readonly deepMm: number;
      readonly lengthMm: number;
      readonly widthMm: number;
      /** The pipe leaves the trap within the floor's own thickness. */
      readonly endsInFloor: boolean;
    }
  | { readonly code: "sealShallow"; readonly sealMm: number }
  | { readonly code: "sealSlops"; readonly lossMm: number; readonly leftMm: number; readonly breaks: boolean }
  | { readonly code: "sealDeep"; readonly sealMm: number }
  | { readonly code: "sealTogether"; readonly leftMm: number; readonly sealMm: number; readonly by: "dump" | "pumpOut" }
  | {
      readonly code: "sealSucked";
      readonly suctionPa: number;
      readonly sealMm: number;
      readonly by: "dump" | "pumpOut";
      readonly isShared: boolean;
    }
  | { readonly code: "trapSiphons"; readonly fallMm: number; readonly boreMm: number; readonly leftMm: number }
  | { readonly code: "trapArmLong"; readonly lengthMm: number; readonly allowedMm: number }
  | { readonly code: "runsFull"; readonly capacityLps: number; readonly surgeLps: number }
  | { readonly code: "drainSlow"; readonly capacityLps: number; readonly inflowLps: number }
  | { readonly code: "belowCleanVelocity"; readonly velocityMps: number }
  | { readonly code: "passageSlants"; readonly lengthMm: number; readonly widthMm: number }
  | { readonly code: "narrowsDownstream"; readonly fromMm: number; readonly toMm: number }
  | { readonly code: "branchAgainstFlow"; readonly angleDeg: number }
  | { readonly code: "teeOnTheFlat" }
  | { readonly code: "siphonedByOthers"; readonly fillRatio: number; readonly othersLps: number }
  | { readonly code: "floodedByOthers"; readonly inflowLps: number; readonly capacityLps: number }
  | { readonly code: "tankUnvented" }
  | { readonly code: "ventDips"; readonly deepMm: number; readonly boreMm: number; readonly attitude: Attitude }
  | { readonly code: "ventEndsLow"; readonly endMm: number; readonly topMm: number; readonly attitude: Attitude }
  | { readonly code: "ventTeeLow"; readonly byMm: number; readonly attitude: Attitude }
  | { readonly code: "ventSharesFresh"; readonly otherName: string }
  | { readonly code: "ventEndsInside" }
  | { readonly code: "ventNoMesh" }
  | { readonly code: "crashLeftOut" }
  | { readonly code: "ventPortNarrow"; readonly portMm: number; readonly boreMm: number }
  | { readonly code: "ventInRoom"; readonly lengthMm: number }
  | {
      readonly code: "ventEndNear";
      readonly obstacleId: string;
      readonly obstacleName: string;
      readonly gapMm: number;
      /** Drinking water is behind it. */
      readonly isFresh: boolean;
    }
  | {
      readonly code: "sharedAirSucks";
      readonly suctionPa: number;
      readonly otherName: string;
      readonly by: "dump" | "pumpOut";
    }
  | {
      readonly code: "fixingWeak";
      readonly load: LoadCaseId;
      readonly utilisation: number;
      readonly weakest: "bolt" | "held" | "strap" | null;
    }
  | { readonly code: "fixingUnrated" }
  | { readonly code: "hoseKinks"; readonly radiusMm: number; readonly leastMm: number }
  /** Years until sewage smells through its wall; null where the wall is not said. */
  | { readonly code: "hoseSmells"; readonly years: number | null }
  | { readonly code: "sumpNoPump" }
  | { readonly code: "sumpOutrun"; readonly pumpLps: number; readonly inflowLps: number }
  | { readonly code: "sumpCycles"; readonly drainBackL: number; readonly bandL: number; readonly perHour: number }
  | { readonly code: "gmEaten"; readonly lossMm: number; readonly share: number }
  | { readonly code: "toiletNotBlack"; readonly into: Receiver }
  /** What its outlet measures: 75 mm for what falls, less for what is pumped. */
  | { readonly code: "toiletNarrow"; readonly boreMm: number; readonly wantedMm: number; readonly isPumped: boolean }
  | { readonly code: "floatOverRim"; readonly onMm: number; readonly highMm: number }
  | { readonly code: "deckFittingBelow" }
  | { readonly code: "outletIntoBilge" }
  | { readonly code: "hullUnknown"; readonly fittings: number }
  | { readonly code: "stabilityUnknown"; readonly wants: "weight" | "gm" }
  | {
      readonly code: "seaInFixture";
      readonly underMm: number;
      readonly isOverRim: boolean;
      readonly attitude: Attitude;
    }
  | {
      readonly code: "seaAtEnd";
      readonly overMm: number;
      readonly wantedMm: number;
      readonly attitude: Attitude;
      readonly isVent: boolean;
    }
  | {
      readonly code: "intakeNearWaste";
      readonly apartMm: number;
      readonly wantedMm: number;
      readonly otherId: string;
      readonly otherName: string;
    }
  | { readonly code: "noState"; readonly pieces: number }
  | { readonly code: "pumpUnstrained" }
  | {
      readonly code: "loopUntreated";
      readonly lacks: "lamp" | "filter";
      readonly stateName: string;
      readonly otherId: string;
    }
  | { readonly code: "lampCooks"; readonly stateName: string }
  | {
      readonly code: "uvWeak";
      readonly doseMjPerCm2: number;
      readonly wantedMjPerCm2: number;
      readonly lpm: number;
    }
  | { readonly code: "heaterUnrelieved"; readonly litres: number }
  | { readonly code: "heaterUnmixed"; readonly otherId: string; readonly otherName: string }
  | {
      readonly code: "tanksHeel";
      /** To which side, all tanks of that side full and the others empty. */
      readonly side: "left" | "right";
      readonly otherId: string;
      readonly heelDeg: number;
      readonly judgedDeg: number;
    }
  | { readonly code: "partOffHull"; readonly byMm: number }
  | {
      readonly code: "joinedWithoutGap";
      readonly water: HeldWater | "sea";
      readonly otherId: string;
      /** Valves, pumps and the like that stand between, by name. */
      readonly keptApartBy: readonly string[];
    }
  | { readonly code: "toiletLongRun"; readonly lengthMm: number }
  /** A vented loop whose top lies under what it has to stand over at its bowl. */
  | { readonly code: "loopUnderBowl"; readonly underMm: number; readonly bowlName: string; readonly otherId: string }
  /** A way of living in which nothing is done on the toilet, and how many such ways there are. */
  | { readonly code: "toiletUnused"; readonly wayName: string; readonly ways: number }
  | { readonly code: "fixingMissing"; readonly fullKg: number; readonly isAfloat: boolean }
  | { readonly code: "fixingTips" }
  | { readonly code: "fixingSlides" }
  | { readonly code: "fixingNoPlate" }
  | { readonly code: "fixingScrewed" }
  | { readonly code: "dumpLineHigh"; readonly byMm: number }
  /** As the rig stands to dump; litres that stay in its sags, 0 where next to nothing does. */
  | { readonly code: "dumpLineFlat"; readonly slopeMmPerM: number; readonly litres: number }
  | { readonly code: "dumpLineOpen" }
  | { readonly code: "dumpLineFull"; readonly litres: number; readonly holds: HeldWater }
  | { readonly code: "blackOutletInside"; readonly insideMm: number }
  | { readonly code: "dumpEndInside"; readonly insideMm: number }
  /** Nothing shuts a tank off from another one that is let go through the same coupling. */
  | {
      readonly code: "dumpLinesMix";
      readonly tankName: string;
      readonly otherName: string;
      readonly other: HeldWater;
    }
  | { readonly code: "dumpLineDirtiesFresh"; readonly tankName: string; readonly otherName: string }
  /** Lines that would all sit on one port, the first of them by its id. */
  | { readonly code: "portCrowded"; readonly lineId: string; readonly names: readonly string[] }
  | {
      readonly code: "portsOverlap";
      readonly otherId: string;
      readonly otherKind: PortKind;
      readonly overlapMm: number;
    }
  | { readonly code: "valveNarrow"; readonly fromMm: number; readonly toMm: number }
  | {
      readonly code: "fittingHitsObstacle";
      readonly obstacleId: string;
      readonly obstacleName: string;
      readonly gapMm: number;
    }
  | { readonly code: "linkApart"; readonly otherName: string; readonly apartMm: number }
  | { readonly code: "senderReversed" }
  | { readonly code: "senderLong"; readonly highMm: number; readonly heightMm: number }
  | {
      readonly code: "axleOverloaded";
      readonly axleName: string;
      readonly fullKg: number;
      readonly spareKg: number;
    }
  /** The heaviest loaded one whose plate was not looked up; null where no axle was measured. */
  | { readonly code: "axleUnrated"; readonly axleName: string | null; readonly fullKg: number }
  | { readonly code: "couplingLifted"; readonly byKg: number }
  | { readonly code: "obstaclesOverlap"; readonly otherName: string }
  | { readonly code: "flapInDrain" }
  | { readonly code: "trapsInSeries" }
  | { readonly code: "trapUnreachable" }
  | { readonly code: "trapFreezes"; readonly hours: number }
  | { readonly code: "sealBlown"; readonly pressurePa: number; readonly sealMm: number }
  | { readonly code: "holeSmall"; readonly drilledMm: number; readonly neededMm: number }
  | { readonly code: "holeNearEdge"; readonly gapMm: number; readonly memberName: string }
  | { readonly code: "drillTowards"; readonly clearMm: number; readonly obstacleName: string }
  | {
      readonly code: "touchesRamp";
      readonly where: RampAngle["where"];
      readonly angleDeg: number;
      readonly overGroundMm: number;
    }
  | { readonly code: "ventDrownsFirst"; readonly attitude: Attitude; readonly litres: number }
  | { readonly code: "fixtureDrownsFirst"; readonly attitude: Attitude; readonly litres: number }
  | {
      readonly code: "pumpOutSucks";
      readonly suctionPa: number;
      readonly breaksSeal: boolean;
      readonly sealMm: number;
      readonly leastBoreMm: number;
    }
  | {
      readonly code: "pumpSucks";
      readonly pumpNames: string;
      readonly flowLps: number;
      readonly suctionPa: number;
      readonly breaksSeal: boolean;
      readonly sealMm: number;
      readonly leastBoreMm: number;
    }
  | {
      readonly code: "ventThrottles";
      readonly suctionPa: number;
      readonly breaksSeal: boolean;
      readonly sealMm: number;
      readonly leastBoreMm: number;
    }
  | { readonly code: "tankNoOutlet" }
  | {
      readonly code: "inletDrownsEarly";
      readonly attitude: Attitude;
      readonly litres: number;
      readonly capacityL: number;
    }
  | { readonly code: "tankBelowSill"; readonly byMm: number }
  | {
      readonly code: "dumpLeaves";
      readonly leftL: number;
      readonly capacityL: number;
      readonly attitude: Attitude;
    }
  | {
      readonly code: "tankHitsObstacle";
      readonly obstacleId: string;
      readonly obstacleName: string;
      readonly gapMm: number;
    }
  | { readonly code: "tankInFloor"; readonly deepMm: number }
  | {
      readonly code: "tanksClash";
      readonly otherId: string;
      readonly otherName: string;
      readonly deepMm: number;
    }
  | {
      readonly code: "gearClashes";
      readonly otherId: string;
      readonly otherName: string;
      /** Negative is how deep it reaches in. */
      readonly gapMm: number;
    }
  | {
      readonly code: "tapWeak";
      readonly lps: number;
      readonly leastLps: number;
      readonly stateName: string;
    }
  | { readonly code: "airGapLow"; readonly gapMm: number; readonly leastMm: number }
  /** What of gear and hoses freezes first, and how many more do. */
  | { readonly code: "gearFreezes"; readonly hours: number; readonly others: number }
  | {
      readonly code: "gearShutIn";
      readonly wantedMm: number;
      readonly roomMm: number;
      /** Null for the floor. */
      readonly otherName: string | null;
    }
  | {
      readonly code: "wasteEndsStay";
      readonly wasteDays: number;
      readonly freshDays: number | null;
      readonly holds: HeldWater;
    }
  | {
      readonly code: "useBeyondFresh";
      readonly otherId: string;
      readonly useName: string;
      readonly takesL: number;
      readonly freshL: number;
    }
  | { readonly code: "endsOnGround" }
  | {
      readonly code: "seacockMissing";
      readonly overMm: number;
      readonly lps: number;
      readonly attitude: Attitude;
    }
  | { readonly code: "metalUnfit"; readonly isBrass: boolean }
  | { readonly code: "clampsFew"; readonly clamps: number }
  | { readonly code: "loopLow"; readonly overMm: number; readonly wantedMm: number }
  /** Off her skin by so much, mm, above 0 outside; null where she has no side there. */
  | { readonly code: "fittingOffHull"; readonly offMm: number | null }
  | { readonly code: "fittingDomestic" }
  | { readonly code: "metalsMeet"; readonly hull: "aluminium" | "steel" }
  | { readonly code: "backingMissing"; readonly isCored: boolean }
  | {
      readonly code: "tailUnfit";
      readonly tailMm: number;
      readonly boreMm: number;
      readonly isLarge: boolean;
      readonly otherId: string;
      readonly otherName: string;
    }
  | { readonly code: "handleBlocked"; readonly longMm: number }
  | {
      readonly code: "fittingShared";
      readonly serves: (typeof SERVES)[number];
      readonly count: number;
      readonly isBowl: boolean;
    }
  | { readonly code: "iceboxOpen" }
  | { readonly code: "lineOffHull"; readonly byMm: number }
  | { readonly code: "waterOverDeck"; readonly byMm: number }
  | { readonly code: "floatsNowhere" }
  | { readonly code: "weightDiffers"; readonly reckonedKg: number; readonly saidKg: number }
  | { readonly code: "gearPortOpen"; readonly ports: string }
  | { readonly code: "pumpCurveRises" }
  | { readonly code: "uvBlind" }
  | { readonly code: "floatReversed" }
  | { readonly code: "filterOrder"; readonly otherId: string; readonly otherName: string }
  | { readonly code: "pumpsInRow"; readonly otherId: string; readonly otherName: string }
  | ({ readonly code: "waterFouled"; readonly water: HeldWater | "sea"; readonly fromName: string | null } & InState)
  | ({ readonly code: "seaComesIn"; readonly fromName: string } & InState)
  | ({
      readonly code: "hoseComesOff";
      /** Hoses of which each would do it, and the first of them. */
      readonly hoses: number;
      readonly hoseName: string;
      readonly isDriven: boolean;
      readonly isAttended: boolean;
      /** What can run out, L; null where the tap outside goes on for ever. */
      readonly litres: number | null;
    } & InState)
  | ({ readonly code: "blackOverboard"; readonly place: DischargePlace | null } & InState)
  | ({ readonly code: "tankOverfills"; readonly fromName: string | null } & InState)
  | ({ readonly code: "tankRunsOut"; readonly outName: string; readonly isDriven: boolean } & InState)
  | { readonly code: "nonReturnAgainst" }
  | ({ readonly code: "pumpRunsDry" } & InState)
  | ({ readonly code: "pumpDeadHead" } & InState)
  | { readonly code: "ontoGround"; readonly litresPerDay: number };

/** Something the builder should know: data only, the sentences are in `words/`. */
export type Finding = Numbers & {
  /** Stable while the fault is the same one: code and part. */
  readonly id: string;
  readonly severity: Severity;
  readonly at: PartRef;
  readonly limit: Limit | null;
};
export type FindingNumbers = Numbers;
export type FindingCode = Numbers["code"];

const RANK: Readonly<Record<Severity, number>> = { must: 0, should: 1, note: 2 };

/** Worst first; within a severity in the order they were found, which follows the water. */
export function sortFindings(findings: readonly Finding[]): Finding[] {
  return [...findings].sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
