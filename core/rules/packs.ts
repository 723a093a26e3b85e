import { inPerFtToMmPerM, inToMm, MM_PER_FT } from "../quantity/convert";
import type { LimitId } from "./limitIds";
import type { PackId } from "./packIds";

/** How far a figure can be trusted: published, common practice of the trade, computed, or the builder's own. */
export type Standing = "P" | "T" | "C" | "own";

export const SOURCE_IDS = [
  "ipc704",
  "ipc710",
  "ipc909",
  "ipc1002",
  "ipcAirGap",
  "upc1002",
  "cfr3280610",
  "cfr3280611",
  "approvedDocumentH",
  "din1986",
  "asnzs3500",
  "en12056",
  "sewerCodes",
  "ventRules",
  "builders",
  "physics",
  "own",
] as const;
export type SourceId = (typeof SOURCE_IDS)[number];

/** A limit for bores up to `upToBoreMm`; null where the rules set none. */
export type Band = {
  readonly upToBoreMm: number;
  readonly value: number | null;
  /** Where it depends on the slope as well: slopes, mm/m, from flat to steep, each with its value. */
  readonly bySlope?: readonly (readonly [slopeMmPerM: number, value: number])[];
};

export type LimitRule = {
  readonly bands: readonly Band[];
  /** Used instead of `bands` where the branch has air of its own. */
  readonly ventedBands?: readonly Band[];
  readonly standing: Standing;
  readonly source: SourceId;
  /** How sure the memory of a published figure is, percent. */
  readonly surePercent?: number;
};

export type RulePack = Readonly<Record<LimitId, LimitRule>>;

const flat = (value: number | null): readonly Band[] => [{ upToBoreMm: Infinity, value }];
const ft = (feet: number): number => feet * MM_PER_FT;
const QUARTER = inPerFtToMmPerM(1 / 4);
const EIGHTH = inPerFtToMmPerM(1 / 8);

/** What builders go by: the ground every pack stands on, because building codes say nothing of a rig that tilts. */
const BUILDERS: RulePack = {
  minFall: { bands: flat(20), standing: "T", source: "builders" },
  maxFall: { bands: flat(null), standing: "T", source: "builders" },
  parkedFall: { bands: flat(0), standing: "T", source: "builders" },
  // what a hand with tape and level is off by over a metre and more
  layTolerance: { bands: flat(5), standing: "T", source: "builders" },
  sealLeast: { bands: flat(50), standing: "P", source: "ipc1002", surePercent: 97 },
  sealMost: { bands: flat(100), standing: "P", source: "ipc1002", surePercent: 97 },
  // null: the length over which the pipe falls by its own bore, computed for each drain
  trapArm: { bands: flat(null), standing: "C", source: "physics" },
  branchBends: { bands: flat(null), standing: "T", source: "builders" },
  branchDrop: { bands: flat(null), standing: "T", source: "builders" },
  branchUnits: { bands: flat(null), standing: "T", source: "builders" },
  // in bores: what splashes out of the trap would foul it
  ventBehindTrap: { bands: flat(2), standing: "P", source: "upc1002", surePercent: 95 },
  drainFill: { bands: flat(0.5), standing: "P", source: "en12056", surePercent: 90 },
  cleanVelocity: { bands: flat(0.6), standing: "P", source: "sewerCodes", surePercent: 95 },
  obstacleGap: { bands: flat(10), standing: "T", source: "builders" },
  exhaustBareGap: { bands: flat(150), standing: "T", source: "builders" },
  exhaustGap: { bands: flat(80), standing: "T", source: "builders" },
  movingGap: { bands: flat(25), standing: "T", source: "builders" },
  sillGap: { bands: flat(0), standing: "T", source: "builders" },
  holeClearance: { bands: flat(2), standing: "T", source: "builders" },
  holeSlant: { bands: flat(2), standing: "T", source: "builders" },
  airGap: { bands: flat(25), standing: "P", source: "ipcAirGap", surePercent: 90 },
  // what a tank with flat walls of plastic is left to bear without a word from its maker
  tankColumn: { bands: flat(15), standing: "T", source: "builders" },
  tankUse: { bands: flat(0.6), standing: "T", source: "builders" },
  // a membrane valve is no dam until its rating has been read off its sheet
  backHead: { bands: flat(0), standing: "T", source: "builders" },
  outletSlow: { bands: flat(0.6), standing: "T", source: "builders" },
  outletFast: { bands: flat(0.8), standing: "T", source: "builders" },
  sealInUse: { bands: flat(25), standing: "P", source: "approvedDocumentH", surePercent: 95 },
  drivingPush: { bands: flat(0.5), standing: "T", source: "builders" },
  evaporation: { bands: flat(2.5), standing: "T", source: "builders" },
  // so that what comes out is not breathed in again
  ventEndGap: { bands: flat(600), standing: "T", source: "builders" },
  nightAir: { bands: flat(-10), standing: "T", source: "builders" },
  nightWind: { bands: flat(0), standing: "T", source: "builders" },
  duskWater: { bands: flat(10), standing: "T", source: "builders" },
  iceShare: { bands: flat(0.1), standing: "T", source: "builders" },
  heldWater: { bands: flat(3), standing: "T", source: "builders" },
  waterFilm: { bands: flat(100), standing: "T", source: "builders" },
  foamConductivity: { bands: flat(0.034), standing: "T", source: "builders" },
  airTemperature: { bands: flat(20), standing: "T", source: "builders" },
  altitude: { bands: flat(0), standing: "T", source: "builders" },
  // a ferry's ramp, a kerb, a gateway
  breakover: { bands: flat(8), standing: "T", source: "builders" },
  rampEnd: { bands: flat(8), standing: "T", source: "builders" },
  // the edge of a hole keeps this much wood to a frame or an edge
  memberGap: { bands: flat(15), standing: "T", source: "builders" },
  ventSuction: { bands: flat(375), standing: "P", source: "ventRules", surePercent: 80 },
};

// The American venting tables are reckoned for 1 inch of water.
const US_SUCTION: LimitRule = { bands: flat(250), standing: "P", source: "ventRules", surePercent: 80 };

/** Limits as data. Written down from memory of the sources named, with how sure that memory is. */
export const PACKS: Readonly<Record<PackId, RulePack>> = {
  builders: BUILDERS,
  usModelCode: {
    ...BUILDERS,
    ventSuction: US_SUCTION,
    minFall: {
      bands: [
        { upToBoreMm: inToMm(2.5), value: QUARTER },
        { upToBoreMm: inToMm(6), value: EIGHTH },
        { upToBoreMm: Infinity, value: EIGHTH / 2 },
      ],
      standing: "P",
      source: "ipc704",
      surePercent: 95,
    },
    // 1¼ in is not in the table; 1 is what a basin brings, which may drain through it
    branchUnits: {
      bands: [
        { upToBoreMm: inToMm(1.25), value: 1 },
        { upToBoreMm: inToMm(1.5), value: 3 },
        { upToBoreMm: inToMm(2), value: 6 },
        { upToBoreMm: inToMm(2.5), value: 12 },
        { upToBoreMm: inToMm(3), value: 20 },
        { upToBoreMm: Infinity, value: 160 },
      ],
      standing: "P",
      source: "ipc710",
      surePercent: 95,
    },
    trapArm: {
      bands: [
        { upToBoreMm: inToMm(1.25), value: ft(5) },
        { upToBoreMm: inToMm(1.5), value: ft(6) },
        { upToBoreMm: inToMm(2), value: ft(8) },
        { upToBoreMm: Infinity, value: null },
      ],
      standing: "P",
      source: "ipc909",
      surePercent: 95,
    },
  },
  usManufacturedHomes: {
    ...BUILDERS,
    ventSuction: US_SUCTION,
    minFall: { bands: flat(QUARTER), standing: "P", source: "cfr3280610", surePercent: 95 },
    trapArm: {
      bands: [
        { upToBoreMm: inToMm(1.5), value: ft(4.5) },
        { upToBoreMm: inToMm(2), value: ft(5) },
        { upToBoreMm: inToMm(3), value: ft(6) },
        { upToBoreMm: Infinity, value: null },
      ],
      standing: "P",
      source: "cfr3280611",
      surePercent: 65,
    },
  },
  england: {
    ...BUILDERS,
    minFall: { bands: flat(18), standing: "P", source: "approvedDocumentH", surePercent: 90 },
    maxFall: { bands: flat(90), standing: "P", source: "approvedDocumentH", surePercent: 90 },
    sealLeast: {
      bands: [
        { upToBoreMm: 45, value: 75 },
        { upToBoreMm: Infinity, value: 50 },
      ],
      standing: "P",
      source: "approvedDocumentH",
      surePercent: 95,
    },
    trapArm: {
      bands: [
        {
          upToBoreMm: 32,
          value: 1700,
          bySlope: [
            [22, 1700],
            [44, 1100],
            [87, 700],
          ],
        },
        { upToBoreMm: 42, value: 3000 },
        { upToBoreMm: Infinity, value: 4000 },
      ],
      standing: "P",
      source: "approvedDocumentH",
      surePercent: 70,
    },
  },
  germany: {
    ...BUILDERS,
    minFall: { bands: flat(10), ventedBands: flat(5), standing: "P", source: "din1986", surePercent: 90 },
    trapArm: { bands: flat(4000), standing: "P", source: "din1986", surePercent: 90 },
    // a branch with air of its own is not held to these
    branchBends: { bands: flat(3), ventedBands: flat(null), standing: "P", source: "din1986", surePercent: 90 },
    branchDrop: { bands: flat(1000), ventedBands: flat(null), standing: "P", source: "din1986", surePercent: 90 },
  },
  australiaNewZealand: {
    ...BUILDERS,
    minFall: {
      bands: [
        { upToBoreMm: 70, value: 25 },
        { upToBoreMm: Infinity, value: 16.5 },
      ],
      standing: "P",
      source: "asnzs3500",
      surePercent: 88,
    },
  },
};
