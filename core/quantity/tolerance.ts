/** Heights closer than this, mm, count as the same: a hundredth of the finest tape reading a builder can make. */
export const SAME_HEIGHT_MM = 0.01;

/** Lengths below this, mm, have no direction; a leg this short is a bend, not a run. */
export const NO_LENGTH_MM = 1e-6;

/** Room left for rounding when an actual value is held against a limit; relative to the limit's own size. */
const LIMIT_SLACK = 1e-9;

/** True when `actual` reaches `limit`, with room for rounding only. */
export function isAtLeast(actual: number, limit: number): boolean {
  return actual >= limit - LIMIT_SLACK * Math.max(1, Math.abs(limit));
}

export const isAtMost = (actual: number, limit: number): boolean => isAtLeast(-actual, -limit);

export const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/** Arc cosine that forgives rounding beyond ±1 but not a wrong argument. */
export function safeAcos(cosine: number): number {
  return Math.acos(clamp(cosine, -1, 1));
}
