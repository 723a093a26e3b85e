import type { Leg } from "../falls/drainPath";
import { isWhole, type PointFitting } from "./pointFittings";

/** A piece of pipe or hose between two points where something is fitted; null where it begins or ends with its line. */
export type LinePiece = {
  readonly legs: readonly Leg[];
  readonly before: PointFitting | null;
  readonly after: PointFitting | null;
};

/** A line comes apart at every point where something is fitted: points one fewer than legs, pieces in their order. */
export function listLinePieces(legs: readonly Leg[], points: readonly PointFitting[]): LinePiece[] {
  if (legs.length === 0) return [];
  const pieces: LinePiece[] = [];
  let [from, before]: [number, PointFitting | null] = [0, null];
  points.forEach((point, i) => {
    if (isWhole(point)) return;
    pieces.push({ legs: legs.slice(from, i + 1), before, after: point });
    [from, before] = [i + 1, point];
  });
  return [...pieces, { legs: legs.slice(from), before, after: null }];
}
