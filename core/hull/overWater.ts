import { type Attitude, computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { listParkedStandings } from "../evaluate/parkedAttitudes";
import { dot, subtract, type Vec3, vec } from "../geometry/vec";
import { measureLoadedSinkMm } from "./loadedLine";

/**
 * What lets the sea in by itself stands so far over the worst waterline at least: a loop's top, a rim, an open end, mm [P: makers'
 * sheets of vented loops, from memory, 80 %].
 */
export const SAFE_OVER_WATER_MM = 150;

/**
 * A height over the water, mm; she heels about the middle of her waterline, and lies so much deeper than at rest [C on T].
 * Null without a waterline.
 */
export function measureOverWater({ rig }: Pick<Design, "rig">, p: Vec3, attitude: Attitude, sinkMm = 0): number | null {
  if (rig.waterlineZMm === null) return null;
  const middle = vec(rig.lengthMm / 2, 0, rig.waterlineZMm + sinkMm);
  return dot(computeUp(attitude), subtract(p, middle));
}

/**
 * The least height of a point over the water, mm, below 0 under it, at rest and at every heel and trim she is judged at, her
 * tanks full and in fresh water; and where that is [C on T]. Infinity without a waterline.
 */
export function measureWorstOverWater(
  design: Pick<Design, "rig" | "tanks">,
  p: Vec3,
): { readonly overMm: number; readonly at: Attitude } {
  const sinkMm = measureLoadedSinkMm(design) ?? 0;
  let worst: { readonly overMm: number; readonly at: Attitude } = {
    overMm: measureOverWater(design, p, LEVEL, sinkMm) ?? Infinity,
    at: LEVEL,
  };
  for (const { attitude } of listParkedStandings(design.rig)) {
    const overMm = measureOverWater(design, p, attitude, sinkMm) ?? Infinity;
    if (overMm < worst.overMm) worst = { overMm, at: attitude };
  }
  return worst;
}
