/**
 * Exact, defined conversion factors. Nothing here is rounded or measured.
 * Source: international yard and pound agreement, 1959 [P]; NIST HB 44 [P, from memory].
 */
export const MM_PER_M = 1000;
export const MM_PER_IN = 25.4;
export const MM_PER_FT = 304.8;
export const MM3_PER_L = 1e6;
/** Conventional column of water at 4 °C under standard gravity. */
export const PA_PER_IN_WATER = 9.80665 * MM_PER_IN;
/** International pound, exact. */
export const KG_PER_LB = 0.45359237;
export const N_PER_LBF = KG_PER_LB * 9.80665;
export const L_PER_US_GAL = 3.785411784;
/** Pound-force on a square inch. */
export const KPA_PER_PSI = (N_PER_LBF / MM_PER_IN ** 2) * 1000;

export const SECONDS_PER_HOUR = 3600;

export const mmToM = (lengthMm: number): number => lengthMm / MM_PER_M;
export const mmToIn = (lengthMm: number): number => lengthMm / MM_PER_IN;
export const inToMm = (lengthIn: number): number => lengthIn * MM_PER_IN;
export const lToUsGal = (volumeL: number): number => volumeL / L_PER_US_GAL;
export const usGalToL = (volumeUsGal: number): number => volumeUsGal * L_PER_US_GAL;
export const cToF = (celsius: number): number => celsius * 1.8 + 32;
export const fToC = (fahrenheit: number): number => (fahrenheit - 32) / 1.8;
export const radToDeg = (angleRad: number): number => (angleRad * 180) / Math.PI;
export const degToRad = (angleDeg: number): number => (angleDeg * Math.PI) / 180;

/** Slope as mm of fall per m of run from inches per foot: 1/4 in/ft is 20.83 mm/m [C]. */
export const inPerFtToMmPerM = (slopeInPerFt: number): number => (slopeInPerFt / 12) * MM_PER_M;
export const mmPerMToInPerFt = (slopeMmPerM: number): number => (slopeMmPerM / MM_PER_M) * 12;
