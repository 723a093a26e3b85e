import type { Design } from "../design/design";
import type { PrismSolid } from "../geometry/solid";
import { vec } from "../geometry/vec";
import { CELL_MM, FITTINGS_MM, type Found, LEAST, MOST_HEIGHT_MM, type Taken, WALL_MM } from "./tankPlaces";

type Limits = {
  /** Boxes that were found: a step is looked for along and across where they lie. */
  readonly found: readonly Found[];
  /** Lowest the outside of a tank may reach, mm. */
  readonly lowestMm: number;
};

/** The narrower part of a stepped tank is at least so many cells wide: a hand and a weld must get in. */
const LEAST_CELLS = 4;
/** Less of a step than this is not worth a weld, mm. */
const LEAST_STEP_MM = 30;

/**
 * Tanks with one step in their underside, across the rig and along it, that find room where the given boxes do: over the
 * same stretch the floor below is felt cell by cell, and the best run of cells with one step is taken. All of them; not
 * sorted. Source: exhaustive over runs and places of the step on a grid [C].
 */
export function findSteppedTanks(design: Design, taken: readonly Taken[], { found, lowestMm }: Limits): Found[] {
  const places = new Map<string, Found>();
  const seen = new Set<string>();
  for (const box of found) {
    for (const axis of ["x", "y"] as const) {
      const topMm = box.atMm.z + box.heightMm;
      const from = box.atMm[axis] - WALL_MM;
      const long = (axis === "x" ? box.lengthMm + FITTINGS_MM : box.widthMm) + 2 * WALL_MM;
      const key = [axis, topMm, from, long].join(" ");
      if (seen.has(key)) continue;
      seen.add(key);
      const stepped = findStep(design, taken, { axis, from, long, topMm, lowestMm });
      if (stepped) places.set(key, stepped);
    }
  }
  return [...places.values()];
}

type Stretch = {
  readonly axis: "x" | "y";
  readonly from: number;
  readonly long: number;
  readonly topMm: number;
  readonly lowestMm: number;
};

function findStep(design: Design, taken: readonly Taken[], stretch: Stretch): Found | null {
  const { axis, from, long, topMm, lowestMm } = stretch;
  const { lengthMm, widthMm } = design.rig;
  const lengthInside = long - 2 * WALL_MM - FITTINGS_MM;
  if (lengthInside < LEAST.lengthMm) return null;
  // across the rig the cells are fine; along it, where there are many, they are twice as long
  const cell = axis === "x" ? CELL_MM : 2 * CELL_MM;
  const [start, count] = axis === "x" ? [-widthMm / 2, Math.floor(widthMm / cell)] : [0, Math.floor(lengthMm / cell)];
  const lows = feelBelow(taken, stretch, { start, count, cell });
  const best = findBestRun(
    lows.map((low) => Math.min(MOST_HEIGHT_MM, topMm - Math.max(low, lowestMm + WALL_MM))),
    cell,
  );
  if (!best) return null;
  const { first, stepAt, wide, left, right } = best;
  const deep = Math.max(left, right);
  const step = deep - Math.min(left, right);
  const profileMm =
    left > right
      ? [p(0, 0), p(stepAt, 0), p(stepAt, step), p(wide, step), p(wide, deep), p(0, deep)]
      : [p(0, step), p(stepAt, step), p(stepAt, 0), p(wide, 0), p(wide, deep), p(0, deep)];
  const stepped: PrismSolid = { shape: "prism", axis, lengthMm: lengthInside, profileMm };
  const across = start + first * cell + WALL_MM;
  const z = topMm - deep;
  const litres = ((left * stepAt + right * (wide - stepAt)) * lengthInside) / 1e6;
  return axis === "x"
    ? { atMm: vec(from + WALL_MM, across, z), lengthMm: lengthInside, widthMm: wide, heightMm: deep, litres, stepped }
    : { atMm: vec(across, from + WALL_MM, z), lengthMm: wide, widthMm: lengthInside, heightMm: deep, litres, stepped };
}

const p = (u: number, v: number) => ({ u, v });

type Cells = { readonly start: number; readonly count: number; readonly cell: number };

// For each cell across a stretch the lowest the inside may reach; where something hangs into it from above, nothing may.
function feelBelow(
  taken: readonly Taken[],
  { axis, from, long, topMm }: Stretch,
  { start, count, cell }: Cells,
): number[] {
  const other = axis === "x" ? "y" : "x";
  const lows = new Array<number>(count).fill(-Infinity);
  for (const { block, roomMm } of taken) {
    const room = roomMm + WALL_MM;
    if (block.max[axis] + room <= from + WALL_MM || block.min[axis] - room >= from + long - WALL_MM) continue;
    if (block.min.z - room >= topMm) continue;
    const first = Math.max(0, Math.floor((block.min[other] - room - start) / cell));
    const last = Math.min(count - 1, Math.ceil((block.max[other] + room - start) / cell) - 1);
    for (let i = first; i <= last; i++) lows[i] = Math.max(lows[i]!, block.max.z + room);
  }
  return lows;
}

type Run = {
  readonly first: number;
  /** From its first wall inside to its step, and to its last wall, mm. */
  readonly stepAt: number;
  readonly wide: number;
  readonly left: number;
  readonly right: number;
};

// The run of cells, cut in two, that holds most when each part is as high as its lowest cell; without a step it is a box.
function findBestRun(heights: readonly number[], cell: number): Run | null {
  let best: (Run & { readonly area: number }) | null = null;
  const count = heights.length;
  // least height of every stretch [i, j]
  const least = heights.map((_, i) => {
    let low = Infinity;
    return heights.map((h, j) => {
      if (j < i) return 0;
      low = Math.min(low, h);
      return low;
    });
  });
  for (let first = 0; first < count; first++) {
    for (let split = first + LEAST_CELLS - 1; split < count - LEAST_CELLS; split++) {
      const left = least[first]![split]!;
      if (left < LEAST.heightMm) break;
      const stepAt = (split - first + 1) * cell - WALL_MM;
      for (let last = split + LEAST_CELLS; last < count; last++) {
        const right = least[split + 1]![last]!;
        if (right < LEAST.heightMm) break;
        if (Math.abs(left - right) < LEAST_STEP_MM) continue;
        const wide = (last - first + 1) * cell - 2 * WALL_MM;
        const area = left * stepAt + right * (wide - stepAt);
        if (area > (best?.area ?? 0)) best = { first, stepAt, wide, left, right, area };
      }
    }
  }
  return best;
}
