import type { Emptying } from "../tanks/emptying";

/** What a bucket and a watch told at the dump: from full, so many litres in so many seconds; hatch shut, and open. */
export type BucketReadings = {
  readonly litres: number;
  readonly shutS: number;
  /** Null where it was not tried with the hatch open. */
  readonly openS: number | null;
};

export type BucketCause = "fine" | "breather" | "outlet" | "tryOpen" | "tooShort";

export type BucketVerdict = {
  /** Seconds reckoned for as many litres: with the breather alone, and with the hatch open. */
  readonly shutS: number;
  readonly openS: number;
  /** Reckoned over measured: below 1 it runs slower than it should. */
  readonly shutRatio: number;
  readonly openRatio: number | null;
  readonly cause: BucketCause;
  readonly verdict: "held" | "leaks" | "unclear";
};

/** Slower than this against what was reckoned something is in the way [T: bucket, watch and discharge are off by a fifth together]. */
const SLOW = 0.7;
/** A watch in a hand is off by a second; a trial shorter than this tells nothing [T]. */
const LEAST_S = 5;

/**
 * A dump tried by bucket and watch against what was reckoned: slow with the hatch shut and right with it open is the
 * breather; slow both ways is outlet, valve or a kinked hose. Runs as `computeRunEmpty` gives them, from full. Null where
 * the litres never came out by the sum. Litres and seconds > 0. Source: the ratio of two flows [C on T].
 */
export function judgeBucket(shut: Emptying, open: Emptying, readings: BucketReadings): BucketVerdict | null {
  const [shutS, openS] = [findSeconds(shut, readings.litres), findSeconds(open, readings.litres)];
  if (shutS === null || openS === null || !(readings.shutS > 0) || !(readings.litres > 0)) return null;
  const shutRatio = shutS / readings.shutS;
  const openRatio = readings.openS !== null && readings.openS > 0 ? openS / readings.openS : null;
  const cause = findCause(readings, shutRatio, openRatio);
  const verdict = cause === "fine" ? "held" : cause === "breather" || cause === "outlet" ? "leaks" : "unclear";
  return { shutS, openS, shutRatio, openRatio, cause, verdict };
}

function findCause({ shutS }: BucketReadings, shutRatio: number, openRatio: number | null): BucketCause {
  if (shutS < LEAST_S) return "tooShort";
  if (shutRatio >= SLOW) return "fine";
  if (openRatio === null) return "tryOpen";
  return openRatio >= SLOW ? "breather" : "outlet";
}

/** When so many litres have run out, s; null where they never do. */
function findSeconds({ curve }: Emptying, litres: number): number | null {
  const fullL = curve[0]?.litres ?? 0;
  const at = curve.findIndex((point) => fullL - point.litres >= litres);
  if (at < 0) return null;
  const [before, after] = [curve[at - 1], curve[at]!];
  if (!before) return 0;
  const share = (litres - (fullL - before.litres)) / (before.litres - after.litres);
  return before.second + share * (after.second - before.second);
}
