import { degToRad, radToDeg } from "../quantity/convert";

/** What a phone's tilt sensor says lying on its back: front to back and side to side, °. */
export type PhoneTilt = { readonly betaDeg: number; readonly gammaDeg: number };

/** What is wrong with the sensor and the table: taken off every reading. */
export type PhoneOffset = PhoneTilt;

export const NO_OFFSET: PhoneOffset = { betaDeg: 0, gammaDeg: 0 };

/**
 * The sensor's own error from two readings on one place, the phone turned round by 180° between them: what stays is the
 * sensor's, what changes its sign is the place's. Half the sum. Source: reversal, as with any level [C].
 */
export const calibrateByTurning = (first: PhoneTilt, turned: PhoneTilt): PhoneOffset => ({
  betaDeg: (first.betaDeg + turned.betaDeg) / 2,
  gammaDeg: (first.gammaDeg + turned.gammaDeg) / 2,
});

/**
 * How the rig stands with the phone's top toward its nose: pitch above 0 nose down, roll above 0 left side up. A phone whose
 * top is lifted says β above 0, one whose right side is lower says γ above 0.
 */
export const toAttitude = ({ betaDeg, gammaDeg }: PhoneTilt, offset: PhoneOffset = NO_OFFSET) => ({
  pitchDeg: -(betaDeg - offset.betaDeg),
  rollDeg: gammaDeg - offset.gammaDeg,
});

/** Slope of a pipe the phone lies along, its top downhill, mm/m: tan of how far the top is down [C]. Example: 1.146° → 20. */
export const toSlopeMmPerM = ({ betaDeg }: PhoneTilt, offset: PhoneOffset = NO_OFFSET): number =>
  Math.tan(degToRad(-(betaDeg - offset.betaDeg))) * 1000;

/** The other way round, for what a slope should read, °. */
export const toTiltDeg = (slopeMmPerM: number): number => radToDeg(Math.atan(slopeMmPerM / 1000));

/** Angles beyond this are no way a rig stands, °, as the schema's attitude. */
const MOST_DEG = 20;

/** How a rig stands as it was measured; null for what is no such thing. Never throws. */
export function readStands(value: unknown): { readonly pitchDeg: number; readonly rollDeg: number } | null {
  if (typeof value !== "object" || value === null) return null;
  const { pitchDeg, rollDeg } = value as Record<string, unknown>;
  const isAngle = (one: unknown): one is number => typeof one === "number" && Math.abs(one) <= MOST_DEG;
  return isAngle(pitchDeg) && isAngle(rollDeg) ? { pitchDeg, rollDeg } : null;
}

/** How close a laid pipe has to come to its drawn fall before it is clipped, mm/m [T: what a hand can lay]. */
const LAID_MM_PER_M = 3;

/**
 * A pipe's measured fall against the one it is drawn with, both against the rig's floor, mm/m: too flat is never right, for the
 * worst standing was reckoned with what is drawn; steeper is, while a hand would lay it so.
 */
export function judgeLaidFall(measuredMmPerM: number, drawnMmPerM: number): "short" | "right" | "steep" {
  if (measuredMmPerM < drawnMmPerM - 1e-9) return "short";
  return measuredMmPerM > drawnMmPerM + LAID_MM_PER_M ? "steep" : "right";
}
