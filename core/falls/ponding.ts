import { integrateSegmentArea, measureSegmentArea } from "../geometry/circularSegment";
import { dot, type Vec3 } from "../geometry/vec";
import { MM3_PER_L } from "../quantity/convert";
import { SAME_HEIGHT_MM } from "../quantity/tolerance";
import type { DrainPath } from "./drainPath";

/** Water that stays in one leg after the drain has run empty. */
export type LegPond = {
  readonly legIndex: number;
  /** True height of the standing water, mm over the level plane through the rig's origin. */
  readonly surfaceMm: number;
  /** The wetted stretch of the leg, as shares of its length from the upper end. */
  readonly fromShare: number;
  readonly toShare: number;
  readonly deepestMm: number;
  readonly litres: number;
  /** The bore is full somewhere: no air passes. */
  readonly fillsBore: boolean;
};

/**
 * Water left standing in a tilted drain: upstream of every rise it stays as high as the highest invert still
 * ahead of it. Exact for round pipe cut by a level plane, but for the mitres at the bends [C].
 * `up` is the unit up direction; the answer lists only legs that hold water.
 */
export function computePonds(path: Pick<DrainPath, "nodesMm" | "legs">, up: Vec3): LegPond[] {
  const heights = path.nodesMm.map((node) => dot(up, node));
  const ponds: LegPond[] = [];
  let highestAhead = -Infinity;
  for (let i = path.legs.length - 1; i >= 0; i--) {
    const leg = path.legs[i]!;
    const bore = leg.pipe.innerMm;
    highestAhead = Math.max(highestAhead, heights[i + 1]!);
    const h0 = heights[i]!;
    const h1 = heights[i + 1]!;
    const deepestMm = highestAhead - Math.min(h0, h1);
    if (deepestMm <= SAME_HEIGHT_MM || leg.lengthMm === 0) continue;
    const dry = h0 === h1 ? 0 : Math.max(0, (Math.max(h0, h1) - highestAhead) / Math.abs(h0 - h1));
    ponds.unshift({
      legIndex: i,
      surfaceMm: highestAhead,
      fromShare: h0 > h1 ? dry : 0,
      toShare: h0 > h1 ? 1 : 1 - dry,
      deepestMm,
      litres: measureWaterL(bore, leg.lengthMm, highestAhead - h0, highestAhead - h1),
      fillsBore: deepestMm >= bore,
    });
  }
  return ponds;
}

/** Full volume of the bore of a whole drain, L. */
export function measureBoreVolumeL(path: Pick<DrainPath, "legs">): number {
  return path.legs.reduce(
    (sum, { pipe, lengthMm }) => sum + (measureSegmentArea(pipe.innerMm, pipe.innerMm) * lengthMm) / MM3_PER_L,
    0,
  );
}

// Volume of water, L, in a straight pipe whose invert lies d0 and d1 below the surface at its ends.
// Across the pipe the depth is d / cos θ, so along it V = l/|y1 − y0| · |∫A dy|.
function measureWaterL(bore: number, length: number, d0: number, d1: number): number {
  const cosine = Math.sqrt(Math.max(0, 1 - ((d1 - d0) / length) ** 2));
  if (cosine < 1e-9) {
    const wet = Math.max(0, Math.max(d0, d1)) - Math.max(0, Math.min(d0, d1));
    return (measureSegmentArea(bore, bore) * wet) / MM3_PER_L;
  }
  const y0 = d0 / cosine;
  const y1 = d1 / cosine;
  if (Math.abs(y1 - y0) < 1e-9 * bore) return (measureSegmentArea(bore, y0) * length) / MM3_PER_L;
  return ((length / (y1 - y0)) * (integrateSegmentArea(bore, y1) - integrateSegmentArea(bore, y0))) / MM3_PER_L;
}
