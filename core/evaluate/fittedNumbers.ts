import type { Attitude } from "../attitude/attitude";
import type { DischargePlace, SERVES } from "../design/gear";
import type { HeldWater } from "../design/plumbing";
import type { Within } from "../fit/obstacleGaps";
import type { Failure } from "../gear/settings";
import type { Receiver } from "./findings";

/** In which working state something happens, and with which single failure, if any. */
type InState = {
  readonly otherId: string;
  readonly stateName: string;
  readonly failure: Failure | null;
  readonly failedName: string | null;
};

/** The figures of what is found in areas that only some rigs have: gear, heads, hull, dump lines and joints. */
export type FittedNumbers =
  | { readonly code: "pumpNeverStops"; readonly cutOutKPa: number; readonly shutOffKPa: number }
  /** A tank's port or a skin fitting against the line that is led to it, mm. */
  | {
      readonly code: "endNarrow";
      readonly endMm: number;
      readonly boreMm: number;
      readonly isFoul: boolean;
      readonly otherName: string;
      readonly otherId: string;
    }
  /** A relief valve under what pushes on it, kPa, and who that is. */
  | {
      readonly code: "reliefRuns";
      readonly setKPa: number;
      readonly pushKPa: number;
      readonly otherName: string;
      readonly otherId: string;
    }
  /** Of a heating pad on a tank, and what the night of the rules wants. */
  | { readonly code: "padWeak"; readonly watts: number; readonly wantedW: number }
  /** Bolts of a tank with less than so much under its foot before they come through her skin, mm. */
  | { readonly code: "boltThroughSkin"; readonly bolts: number; readonly reachMm: number }
  | { readonly code: "supplyHard"; readonly supplyKPa: number; readonly mostKPa: number }
  | {
      readonly code: "supplyUnreduced";
      readonly supplyKPa: number;
      readonly mostKPa: number;
      readonly campKPa: number;
    }
  | { readonly code: "pumpHard"; readonly pushKPa: number; readonly mostKPa: number }
  | { readonly code: "accumulatorHard"; readonly prechargeKPa: number; readonly cutInKPa: number }
  | { readonly code: "branchAgainstFlow"; readonly angleDeg: number }
  | { readonly code: "teeOnTheFlat" }
  | { readonly code: "siphonedByOthers"; readonly fillRatio: number; readonly othersLps: number }
  | { readonly code: "floodedByOthers"; readonly inflowLps: number; readonly capacityLps: number }
  /** Turns between the trap and the next air, and how far the drain goes down on that way. */
  | { readonly code: "branchBends"; readonly bends: number }
  | { readonly code: "branchDrops"; readonly dropMm: number }
  /** Fixture units a pipe gathers. */
  | { readonly code: "branchOverloaded"; readonly units: number; readonly boreMm: number }
  | { readonly code: "hoseKinks"; readonly radiusMm: number; readonly leastMm: number }
  /** Years until sewage smells through its wall; null where the wall is not said. */
  | { readonly code: "hoseSmells"; readonly years: number | null }
  | { readonly code: "sumpNoPump" }
  | { readonly code: "sumpOutrun"; readonly pumpLps: number; readonly inflowLps: number }
  | {
      readonly code: "sharedAirSucks";
      readonly suctionPa: number;
      readonly otherName: string;
      readonly by: "dump" | "pumpOut";
    }
  | {
      readonly code: "airTogether";
      readonly suctionPa: number;
      /** The tanks that are drawn on at once; only this one where it has several ways out. */
      readonly tankNames: readonly string[];
      readonly isAlone: boolean;
      readonly breaksSeal: boolean;
      readonly sealMm: number;
    }
  | {
      readonly code: "sumpSurges";
      readonly fixtureName: string;
      readonly bowlL: number;
      readonly risesL: number;
      readonly roomL: number;
    }
  | { readonly code: "sumpCycles"; readonly drainBackL: number; readonly bandL: number; readonly perHour: number }
  | { readonly code: "gmEaten"; readonly lossMm: number; readonly share: number; readonly isJoined: boolean }
  | { readonly code: "toiletNotBlack"; readonly into: Receiver }
  /** What its outlet measures: 75 mm for what falls, less for what is pumped. */
  | { readonly code: "toiletNarrow"; readonly boreMm: number; readonly wantedMm: number; readonly isPumped: boolean }
  | { readonly code: "floatOverRim"; readonly onMm: number; readonly highMm: number }
  | { readonly code: "deckFittingBelow" }
  /** A full tank that something goes on filling: what stands in it while all of that leaves by its breather. */
  | {
      readonly code: "fillPresses";
      readonly otherId: string;
      readonly otherName: string;
      readonly ventId: string;
      readonly ventName: string;
      readonly boreMm: number;
      readonly flowLpm: number;
      readonly pressureKPa: number;
      readonly leastBoreMm: number | null;
    }
  | { readonly code: "outletIntoBilge" }
  | { readonly code: "outletInside" }
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
  /** A piece that no working state starts or opens. */
  | { readonly code: "neverUsed"; readonly how: "on" | "open" }
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
  | { readonly code: "heaterUnrated" }
  /** What a heater bears, and what can stand in it by its relief valve or, where none is near, by what pushes on it, kPa. */
  | {
      readonly code: "heaterPressed";
      readonly bearsKPa: number;
      readonly pressKPa: number;
      readonly by: "relief" | "push";
      readonly otherId: string;
      readonly otherName: string;
    }
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
  | {
      readonly code: "fixtureUncounted";
      readonly fixtureName: string;
      /** How many more there are. */
      readonly others: number;
      readonly wayName: string;
    }
  /** A use of the toilet for which less is counted than a flush takes. */
  | {
      readonly code: "flushShort";
      readonly useName: string;
      readonly wayName: string;
      readonly countedL: number;
      readonly flushL: number;
      readonly others: number;
    }
  /** A load of washing for which less is counted than the machine takes. */
  | {
      readonly code: "loadShort";
      readonly useName: string;
      readonly wayName: string;
      readonly countedL: number;
      readonly loadL: number;
    }
  | { readonly code: "toiletUnused"; readonly wayName: string; readonly ways: number }
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
  | {
      readonly code: "gearClashes";
      readonly otherId: string;
      readonly otherName: string;
      /** It stands through the side of a cabinet. */
      readonly within: Within | null;
      /** Negative is how deep it reaches in. */
      readonly gapMm: number;
    }
  | { readonly code: "gearInFloor"; readonly deepMm: number }
  | {
      readonly code: "tapWeak";
      readonly lps: number;
      readonly leastLps: number;
      readonly stateName: string;
    }
  | { readonly code: "airGapLow"; readonly gapMm: number; readonly leastMm: number }
  /** What of gear and hoses freezes first, and how many more do. */
  | { readonly code: "gearFreezes"; readonly hours: number; readonly others: number; readonly isAfloat: boolean }
  | {
      readonly code: "gearShutIn";
      readonly wantedMm: number;
      readonly roomMm: number;
      /** Null for the floor. */
      readonly otherName: string | null;
    }
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
  | ({
      readonly code: "waterFouled";
      readonly water: HeldWater | "sea";
      readonly fromName: string | null;
      /** The accumulator it stood in under pressure, and the working state in which it was pressed in. */
      readonly storedIn: string | null;
      readonly chargedIn: string | null;
    } & InState)
  | ({ readonly code: "seaComesIn"; readonly fromName: string } & InState)
  | ({
      readonly code: "hoseComesOff";
      /** Hoses of which each would do it, and the first of them. */
      readonly hoses: number;
      readonly hoseName: string;
      readonly isDriven: boolean;
      readonly isAttended: boolean;
      /** Only the hose that sits on what it comes from is left, before which no valve can stand. */
      readonly isOnItself: boolean;
      /** What can run out, L; null where the tap outside goes on for ever. */
      readonly litres: number | null;
    } & InState)
  | ({ readonly code: "blackOverboard"; readonly place: DischargePlace | null } & InState)
  | ({ readonly code: "tankOverfills"; readonly fromName: string | null } & InState)
  | ({ readonly code: "tankRunsOut"; readonly outName: string; readonly isDriven: boolean } & InState)
  | { readonly code: "nonReturnAgainst" }
  | ({ readonly code: "pumpRunsDry" } & InState)
  | ({ readonly code: "pumpDeadHead" } & InState);
