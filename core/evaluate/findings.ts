import type { Attitude } from "../attitude/attitude";
import type { PartRef } from "../design/part";
import type { FixtureKind, HeldWater, PortKind } from "../design/plumbing";
import type { Within } from "../fit/obstacleGaps";
import type { RampAngle } from "../fit/rampAngles";
import type { BoltHit } from "../fixing/boltHits";
import type { LoadCaseId } from "../fixing/fixing";
import type { Limit } from "../rules/lookUpLimit";
import type { WaterColumn } from "../tanks/waterColumn";
import type { FittedNumbers } from "./fittedNumbers";

/** must: do not drill yet. should: works, but will be regretted. note: worth knowing. */
export const SEVERITIES = ["must", "should", "note"] as const;
export type Severity = (typeof SEVERITIES)[number];

/** What the water of a fixture ends in: what a tank or canister holds, or where else it goes. */
export type Receiver = HeldWater | "ground" | "sump" | "overboard";

type Numbers =
  | FittedNumbers
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
  /** Past the side of a rig for the road: mm beyond the floor's edge. */
  | { readonly code: "partSticksOut"; readonly byMm: number }
  | { readonly code: "partBelowSill"; readonly byMm: number }
  | { readonly code: "outletOpen" }
  | { readonly code: "portFree" }
  | { readonly code: "tankUnfed" }
  | { readonly code: "parkedLevelOnly"; readonly isAfloat: boolean }
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
  /** Between two bends that do not go together so near. */
  | { readonly code: "legTooShort"; readonly lengthMm: number; readonly needsMm: number }
  | {
      readonly code: "legHitsObstacle";
      readonly obstacleId: string;
      readonly obstacleName: string;
      readonly gapMm: number;
      /** It runs along in a wall or the side of a cabinet, and not through it by a hole. */
      readonly within: Within | null;
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
  | {
      readonly code: "ventAtTrap";
      readonly fromWeirMm: number;
      readonly leastMm: number;
      /** The first run is long enough for it to stand where it should. */
      readonly hasRoom: boolean;
    }
  | { readonly code: "runsFull"; readonly capacityLps: number; readonly surgeLps: number }
  | { readonly code: "drainSlow"; readonly capacityLps: number; readonly inflowLps: number }
  | { readonly code: "belowCleanVelocity"; readonly velocityMps: number }
  | { readonly code: "passageSlants"; readonly lengthMm: number; readonly widthMm: number }
  | { readonly code: "narrowsDownstream"; readonly fromMm: number; readonly toMm: number }
  | { readonly code: "tankUnvented" }
  | { readonly code: "ventDips"; readonly deepMm: number; readonly boreMm: number; readonly attitude: Attitude }
  | { readonly code: "ventEndsLow"; readonly endMm: number; readonly topMm: number; readonly attitude: Attitude }
  | { readonly code: "ventTeeLow"; readonly byMm: number; readonly attitude: Attitude }
  | { readonly code: "ventSharesFresh"; readonly otherName: string }
  /** A breather of waste, or of drinking water, out of which only water comes. */
  | { readonly code: "ventEndsInside"; readonly isFresh: boolean }
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
      readonly code: "fixingWeak";
      readonly load: LoadCaseId;
      readonly utilisation: number;
      readonly weakest: "bolt" | "held" | "strap" | null;
    }
  | ({ readonly code: "tankPressed" } & WaterColumn)
  | { readonly code: "fixingUnrated" }
  | { readonly code: "fixingMissing"; readonly fullKg: number; readonly isAfloat: boolean }
  | { readonly code: "fixingTips" }
  | { readonly code: "fixingSlides" }
  | { readonly code: "fixingNoPlate" }
  | { readonly code: "fixingScrewed" }
  /** Bolts that would go through the floor into something: a frame, or what must not be drilled. */
  | ({ readonly code: "boltHits" } & BoltHit)
  | { readonly code: "boltOffFloor"; readonly bolts: number; readonly byMm: number }
  /** Lines that would all sit on one port, the first of them by its id. */
  | { readonly code: "portCrowded"; readonly lineId: string; readonly names: readonly string[] }
  /** Its bore reaches past the edge of the wall it sits in. */
  | { readonly code: "portOffWall"; readonly byMm: number }
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
  /** A sender that sits in a hole of the tank, which is not among its ports. */
  | { readonly code: "senderUndrawn" }
  /** A sender that stands so far beside its tank, in plan. */
  | { readonly code: "senderBeside"; readonly besideMm: number }
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
  | { readonly code: "sealBlown"; readonly pressurePa: number; readonly sealMm: number; readonly isShared: boolean }
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
      /** It stands through the side of a cabinet. */
      readonly within: Within | null;
    }
  | { readonly code: "tankInFloor"; readonly deepMm: number }
  | {
      readonly code: "tanksClash";
      readonly otherId: string;
      readonly otherName: string;
      readonly deepMm: number;
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

/** A part stands where it cannot: what runs to it and past it is judged there, and often settled with it. */
const ROOTS: ReadonlySet<FindingCode> = new Set<FindingCode>([
  "tanksClash",
  "tankHitsObstacle",
  "tankInFloor",
  "gearClashes",
  "fixtureOutside",
  "partOutside",
]);

const rank = ({ severity, code }: Finding): number => 2 * RANK[severity] + (ROOTS.has(code) ? 0 : 1);

/** Worst first; within a severity first what stands in something, then in the order they were found, which follows the water. */
export function sortFindings(findings: readonly Finding[]): Finding[] {
  const ranks: Finding[][] = [[], [], [], [], [], []];
  for (const finding of findings) ranks[rank(finding)]!.push(finding);
  return ranks.flat();
}
