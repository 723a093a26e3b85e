import type { Attitude } from "../attitude/attitude";
import { computeUp } from "../attitude/attitude";
import { dot } from "../geometry/vec";
import type { VentPath } from "./ventPath";

/** The deepest place of a breather in which water can stand. */
export type VentDip = {
  /** Which breather's pipe it is in, and which of its points. */
  readonly lineId: string;
  readonly point: number;
  /** How deep water stands there before it runs off to either side, mm of true height. */
  readonly deepMm: number;
  readonly attitude: Attitude;
};

/**
 * The deepest dip of a breather over a set of attitudes: a point with something higher both toward the tank and toward
 * the open end. Water from driving and from moist air gathers there, and closes the pipe once it is as deep as the bore
 * [C]. Null where the breather rises or falls throughout, at every attitude.
 */
export function findVentDip({ pointsMm, refs }: VentPath, attitudes: readonly Attitude[]): VentDip | null {
  let deepest: VentDip | null = null;
  for (const attitude of attitudes) {
    const up = computeUp(attitude);
    const heights = pointsMm.map((p) => dot(up, p));
    const after = findHighestAfter(heights);
    let before = heights[0]!;
    for (let i = 1; i + 1 < heights.length; i++) {
      const deepMm = Math.min(before, after[i]!) - heights[i]!;
      before = Math.max(before, heights[i]!);
      if (deepMm > (deepest?.deepMm ?? 0)) deepest = { ...refs[i]!, deepMm, attitude };
    }
  }
  return deepest;
}

// The highest of all points behind each.
function findHighestAfter(heights: readonly number[]): number[] {
  const after = new Array<number>(heights.length).fill(-Infinity);
  for (let i = heights.length - 2; i >= 0; i--) after[i] = Math.max(after[i + 1]!, heights[i + 1]!);
  return after;
}
