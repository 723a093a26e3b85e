import { clamp } from "../quantity/tolerance";
import { type HeightField, measureVolumeBelowL } from "./volumeBelow";

const MOST_STEPS = 120;

/**
 * Level, mm along up from the solid's own origin, at which `volumeL` lies below it: the inverse of
 * `measureVolumeBelowL`. Volume is clamped to [0, capacity]. Halving with a secant step inside the bracket;
 * the volume rises with the level, so the answer is the only one [C].
 */
export function computeLevelForVolume(field: HeightField, volumeL: number): number {
  const { lowestMm, highestMm, capacityL } = field;
  const wanted = clamp(volumeL, 0, capacityL);
  let low = lowestMm;
  let high = highestMm;
  let volumeLow = 0;
  let volumeHigh = capacityL;
  if (wanted <= 0) return low;
  if (wanted >= capacityL) return high;
  for (let step = 0; step < MOST_STEPS && high - low > 1e-12 * (1 + Math.abs(high)); step++) {
    const secant = low + ((high - low) * (wanted - volumeLow)) / (volumeHigh - volumeLow);
    // every other step halves, so that a flat stretch cannot stall the secant
    const middle = step % 2 === 1 || !Number.isFinite(secant) ? (low + high) / 2 : clamp(secant, low, high);
    const volume = measureVolumeBelowL(field, middle);
    if (volume === wanted) return middle;
    if (volume < wanted) {
      low = middle;
      volumeLow = volume;
    } else {
      high = middle;
      volumeHigh = volume;
    }
  }
  return (low + high) / 2;
}
