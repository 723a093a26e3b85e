import type { Tank } from "../design/plumbing";
import type { Vec3 } from "../geometry/vec";
import { measureVolumeBelowL } from "../geometry/volumeBelow";
import { buildTankField } from "./tankLevels";

/** One line of a chart: how deep the water stands on the stick, and how much is in the tank. */
export type Dip = { readonly depthMm: number; readonly litres: number };

/** Where a stick or a sender stands in plan, mm from the tank's own corner. */
export type DipPlace = { readonly xMm: number; readonly yMm: number };

/**
 * Litres, L, in a tank when the water stands `depthMm` deep over the height of its bottom at a place in plan, for a unit
 * up direction. Depth in [0, height]; exact, not sampled [C].
 */
export function computeDips(tank: Tank, up: Vec3, { xMm, yMm }: DipPlace, depthsMm: readonly number[]): Dip[] {
  const field = buildTankField(tank, up);
  return depthsMm.map((depthMm) => ({
    depthMm,
    litres: measureVolumeBelowL(field, up.x * xMm + up.y * yMm + up.z * depthMm),
  }));
}

/** Depths from the bottom to the top in so many equal steps, both ends with them, mm. */
export const listDepths = (heightMm: number, steps: number): number[] =>
  Array.from({ length: steps + 1 }, (_, i) => (heightMm * i) / steps);
