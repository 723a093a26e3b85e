import type { Pipe } from "../design/plumbing";
import { listStraights } from "../falls/bends";
import type { Leg } from "../falls/drainPath";
import { findPipeSize } from "../parts/pipes";

/** How much longer a metre of pipe gets for each kelvin, 1/K: polypropylene, and PVC or ABS of schedule 40 [T]. */
const GROWTH_PER_K = { metricWaste: 1.5e-4, schedule40: 1e-4 } as const;
/** The hottest that goes down a drain, °C: pasta water has cooled to that in the bowl [T]. */
const HOT_C = 60;

/**
 * By how much a pipe of a length, mm ≥ 0, grows when it warms by `warmthK` ≥ 0: α L ΔT. A pipe of the builder's own measure is
 * taken for polypropylene, the most; a hose gives way by itself. Source: thermal expansion [C on T].
 * Example: polypropylene, 3 m, 60 K → 27 mm.
 */
export function computePipeGrowthMm(pipe: Pipe, lengthMm: number, warmthK: number): number {
  const family = findPipeSize(pipe)?.family ?? "metricWaste";
  return family === "metricWaste" || family === "schedule40" ? GROWTH_PER_K[family] * lengthMm * warmthK : 0;
}

/** What the longest straight piece of a way of legs grows by between a night of `coldC` °C and hot water, mm; bends give way [C on T]. */
export function findGrowthMm(legs: readonly Leg[], coldC: number): number {
  const grown = listStraights(legs).map((straight) =>
    straight.reduce(
      (sum, { pipe, lengthMm }) => sum + computePipeGrowthMm(pipe, lengthMm, Math.max(0, HOT_C - coldC)),
      0,
    ),
  );
  return Math.max(0, ...grown);
}
