import { AIR_SUMS } from "./airSums";
import { DRAIN_SUMS } from "./drainSums";
import { RIG_SUMS } from "./rigSums";
import type { SumBody, SumValues } from "./sum";
import { TRAP_SUMS } from "./trapSums";
import { WATER_SUMS } from "./waterSums";

export const SUM_IDS = [
  "partFullFlow",
  "partFullVelocity",
  "fallBetween",
  "slopedHole",
  "boxVolume",
  "pipeVolume",
  "waterWeight",
  "openOutlet",
  "runningEmpty",
  "breather",
  "dumpSuction",
  "airDensity",
  "sealSuction",
  "sealPush",
  "sealDriving",
  "sealSiphon",
  "sealDrying",
  "sealClimate",
  "trapArm",
  "breakover",
  "rampEnd",
  "wheelRamp",
  "storeDays",
  "freezing",
  "wallLoss",
  "pipeLoss",
  "boltPull",
  "boltUse",
  "hoseLoss",
  "accumulator",
  "buildUp",
  "uvDose",
  "flood",
  "freeSurface",
  "airWarmth",
  "wallForce",
] as const;
export type SumId = (typeof SUM_IDS)[number];

/** One sum by its id. */
export type Sum = SumBody & { readonly id: SumId };

const BODIES: Readonly<Record<SumId, SumBody>> = {
  ...DRAIN_SUMS,
  ...AIR_SUMS,
  ...TRAP_SUMS,
  ...RIG_SUMS,
  ...WATER_SUMS,
};

/** Every sum, in the order of the list. */
export const SUMS: readonly Sum[] = SUM_IDS.map((id) => ({ id, ...BODIES[id] }));

export const findSum = (id: string): Sum | null => SUMS.find((sum) => sum.id === id) ?? null;

export type SumFault =
  | { readonly code: "missingTerm"; readonly name: string }
  | { readonly code: "unknownTerm"; readonly name: string }
  | { readonly code: "outOfRange"; readonly name: string; readonly least: number; readonly most: number }
  | { readonly code: "noResult" };

export type SumOutcome =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly fault: SumFault };

/** Works a sum out, or says which term is missing, unknown or out of its range. Never NaN. */
export function workOut(sum: Sum, values: SumValues): SumOutcome {
  const unknown = Object.keys(values).find((name) => !sum.terms.some((term) => term.name === name));
  if (unknown !== undefined) return { ok: false, fault: { code: "unknownTerm", name: unknown } };
  for (const { name, least, most } of sum.terms) {
    const value = values[name];
    if (value === undefined) return { ok: false, fault: { code: "missingTerm", name } };
    if (!(value >= least && value <= most)) return { ok: false, fault: { code: "outOfRange", name, least, most } };
  }
  const value = sum.compute(values);
  return value === null || !Number.isFinite(value) ? { ok: false, fault: { code: "noResult" } } : { ok: true, value };
}

const STEPS = 200;

/**
 * The value of one term that brings the result to `wanted`, the others kept; null where none within its range does. The
 * range is gone through in steps for a change of sign, then halved: of several answers the one nearest to the value that
 * is there [C].
 */
export function solveFor(sum: Sum, values: SumValues, name: string, wanted: number): number | null {
  const term = sum.terms.find((one) => one.name === name);
  if (!term) return null;
  const { least, most } = term;
  const off = (value: number): number | null => {
    const result = sum.compute({ ...values, [name]: value });
    return result === null || !Number.isFinite(result) ? null : result - wanted;
  };
  // evenly on a scale of ratios where the range is wide, so that small values are not stepped over
  const isWide = least > 0 && most / least > 100;
  const at = (i: number) => (isWide ? least * (most / least) ** (i / STEPS) : least + ((most - least) * i) / STEPS);
  const now = values[name] ?? term.usual;
  let best: number | null = null;
  for (let i = 0; i < STEPS; i++) {
    const root = halve(off, at(i), at(i + 1));
    if (root !== null && (best === null || Math.abs(root - now) < Math.abs(best - now))) best = root;
  }
  return best;
}

function halve(off: (value: number) => number | null, from: number, to: number): number | null {
  let [low, high] = [from, to];
  const [a, b] = [off(low), off(high)];
  if (a === null || b === null) return null;
  if (a === 0) return low;
  if (b === 0) return high;
  if (a > 0 === b > 0) return null;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    const here = off(middle);
    if (here === null) return null;
    if (here > 0 === a > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
