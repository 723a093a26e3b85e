import type { LogEntry } from "../record/record";
import type { LoopFigures } from "./loopFigures";
import { computeBuildUp, SHED_G } from "./waterQuality";

/** What the tests of the loop's water say of what a shower sheds. */
export type LoopWater = {
  /** What a shower sheds against the usual; 1 before any test. */
  readonly shedShare: number;
  /** Tests that counted, and tests before which no shower was written down. */
  readonly tests: number;
  readonly unused: number;
  /** The last one, g/L, and what was reckoned for it. */
  readonly last: { readonly at: string; readonly gPerL: number; readonly reckonedGPerL: number } | null;
};

/** The usual figure weighs as much as so many tests [T]. */
const PRIOR_TESTS = 2;
/** A single test is not believed beyond this, times the usual [T]: strips and drops err. */
const MOST_SHARE = 5;

/**
 * Tests of the loop's water against what was reckoned: each is what is dissolved over the fresh water, mg/L in the book's
 * figure, after so many showers since the loop was changed (its tank dumped or filled anew). The share is their mean, the
 * usual figure among them with the weight of two [C on T].
 */
export function learnLoopWater(
  log: readonly LogEntry[],
  { loopL, renewedShare }: Pick<LoopFigures, "loopL" | "renewedShare">,
  loopStoreId: string | null,
): LoopWater {
  let showers = 0;
  let sum = PRIOR_TESTS;
  let tests = 0;
  let unused = 0;
  let last: LoopWater["last"] = null;
  for (const { kind, amount, storeId, at } of [...log].sort((a, b) => a.at.localeCompare(b.at))) {
    if (kind === "loopChange" || (kind === "dump" && storeId !== null && storeId === loopStoreId)) showers = 0;
    if (kind === "showers") showers += amount ?? 1;
    if (kind !== "waterTest" || amount === null) continue;
    if (showers <= 0) {
      unused += 1;
      continue;
    }
    const reckonedGPerL = computeBuildUp(SHED_G, loopL, renewedShare, showers);
    sum += Math.min(MOST_SHARE, amount / 1000 / reckonedGPerL);
    tests += 1;
    last = { at, gPerL: amount / 1000, reckonedGPerL };
  }
  return { shedShare: sum / (PRIOR_TESTS + tests), tests, unused, last };
}
