import type { Attitude } from "../attitude/attitude";
import { computeUp } from "../attitude/attitude";
import type { Tank, Vent } from "../design/plumbing";
import { add, dot } from "../geometry/vec";

/** The deepest place of a breather in which water can stand. */
export type VentDip = {
  /** Which of the breather's points. */
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
export function findVentDip(tank: Tank, vent: Vent, attitudes: readonly Attitude[]): VentDip | null {
  const port = tank.ports.find((p) => p.id === vent.fromPort)!;
  const points = [add(tank.atMm, port.atMm), ...vent.pointsMm];
  let deepest: VentDip | null = null;
  for (const attitude of attitudes) {
    const up = computeUp(attitude);
    const heights = points.map((p) => dot(up, p));
    for (let i = 1; i + 1 < heights.length; i++) {
      const before = Math.max(...heights.slice(0, i));
      const after = Math.max(...heights.slice(i + 1));
      const deepMm = Math.min(before, after) - heights[i]!;
      if (deepMm > (deepest?.deepMm ?? 0)) deepest = { point: i - 1, deepMm, attitude };
    }
  }
  return deepest;
}
