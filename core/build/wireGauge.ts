/** Even gauges as sold, thin to thick. */
const SOLD = [18, 16, 14, 12, 10, 8, 6, 4, 2] as const;

/** Copper of a gauge, mm²: d = 0.127 × 92^((36 − n)/39) mm. Source: American wire gauge [P: ASTM B258, from memory, 98 %]. Example: 12 → 3.31 mm². */
export const computeGaugeMm2 = (gauge: number): number => (Math.PI / 4) * (0.127 * 92 ** ((36 - gauge) / 39)) ** 2;

/** The thinnest gauge sold with no less copper than so many mm² > 0; null where none has so much [C]. */
export const findWireGauge = (mm2: number): number | null =>
  SOLD.find((gauge) => computeGaugeMm2(gauge) >= mm2) ?? null;
