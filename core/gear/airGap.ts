/** A spout that ends over water: so many of its bores above it [P: as the limit, from memory, 90 %]. */
const BORES = 2;

/**
 * Least free fall from a spout of a bore, mm > 0, to the highest the water can stand, mm: twice the bore and no less than a
 * limit, mm, and what a tilt, as its tangent ≥ 0, raises the water by over the distance to where it runs over, mm ≥ 0.
 * Source: IPC with ASME A112.1.2 [P, from memory, 90 %]; the tilt is geometry [C]. Example: 12.7 mm, 250 mm, 5° → 47.3 mm.
 */
export const computeAirGapMm = (boreMm: number, overflowMm: number, tilt: number, leastMm: number): number =>
  Math.max(leastMm, BORES * boreMm) + overflowMm * tilt;
