import type { Port, Thread } from "../design/plumbing";

/**
 * Outside of a male pipe thread, mm: the major diameter of parallel ones [P: ISO 228-1, from memory, 95 %], the pipe's outside of
 * tapered ones [P: ASME B1.20.1, from memory, 95 %].
 */
const THREAD_OUTSIDE_MM: Readonly<Record<Thread, number>> = {
  g12: 20.955,
  g34: 26.441,
  g1: 33.249,
  g114: 41.91,
  g112: 47.803,
  g2: 59.614,
  npt12: 21.336,
  npt34: 26.67,
  npt1: 33.401,
  npt114: 42.164,
  npt112: 48.26,
  npt2: 60.325,
};

/** Room for the thread to go through, mm of diameter [T]. */
const PLAY_MM = 1;

/**
 * Hole, mm across, that the thread of a port's fitting goes through; null where a plain bulkhead or a grommet asks for one of its
 * own, which only its maker knows. It is never the bore, which is the way inside the fitting.
 * Example: G 1½ → 48.8.
 */
export const findPortHoleMm = ({ thread }: Pick<Port, "thread">): number | null =>
  thread === null ? null : THREAD_OUTSIDE_MM[thread] + PLAY_MM;

/** A bulkhead's flange and nut, or the lip of a grommet, want so much wall round the bore, mm [T]. */
const NUT_ROOM_MM = 10;

/** Whether there is no room for a nut or a lip beside a bore so near to an edge, mm: what sits there is welded or moulded in. */
export const isWeldedIn = (toEdgeMm: number): boolean => toEdgeMm < NUT_ROOM_MM;
