import type { PartRef } from "../design/part";
import { toPartKey } from "../design/part";
import type { Finding, FindingNumbers } from "../evaluate/findings";
import type { FormulaId, Stand, Working } from "./working";

type Sought = { readonly formula: FormulaId; readonly stand?: Stand };

/** The sum behind each kind of finding; those not named are seen, not worked out. */
const BEHIND: Readonly<Partial<Record<FindingNumbers["code"], Sought>>> = {
  legBackwards: { formula: "legFall", stand: "level" },
  legBackwardsParked: { formula: "legFall", stand: "worst" },
  legBelowMinFall: { formula: "legFall", stand: "level" },
  legBarely: { formula: "legFall", stand: "worst" },
  legTooSteep: { formula: "legFall", stand: "level" },
  sealShallow: { formula: "trapSeal" },
  sealDeep: { formula: "trapSeal" },
  sealSlops: { formula: "sealDriving" },
  trapArmLong: { formula: "trapArm" },
  drainSlow: { formula: "drainCapacity" },
  belowCleanVelocity: { formula: "drainVelocity" },
  passageSlants: { formula: "floorHole" },
  holeSmall: { formula: "floorHole" },
  trapFreezes: { formula: "sealFrost" },
  sealBlown: { formula: "sealPressure" },
  ventThrottles: { formula: "dumpSuction" },
  ventDrownsFirst: { formula: "tankFull", stand: "worst" },
  inletDrownsEarly: { formula: "tankFull", stand: "worst" },
  fixtureDrownsFirst: { formula: "tankFull", stand: "worst" },
  fixingWeak: { formula: "boltUse" },
  wasteEndsStay: { formula: "storeDays", stand: "level" },
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
