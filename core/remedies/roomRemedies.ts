import type { Design } from "../design/design";
import { listPoints } from "../design/linePoints";
import { buildMove } from "../design/moves";
import type { Line } from "../design/plumbing";
import type { Finding } from "../evaluate/findings";
import { buildDrainPath, type Leg } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { listLineLegs } from "../fit/lineLegs";
import { add, dot, measureLength, scale, subtract, type Vec3 } from "../geometry/vec";
import type { Remedy } from "./remedy";

/** Beyond what the fittings take a piece gets so much, mm [T]. */
const SPARE_MM = 2;

/**
 * A piece too short for the fittings at its ends made longer: one of its points moved on along the piece itself, or along the next
 * piece on that side, which stays straight. Source: geometry [C].
 */
export function proposeLongerLeg(
  design: Design,
  line: Line,
  { at, needsMm }: Extract<Finding, { readonly code: "legTooShort" }>,
): Remedy[] {
  if (at.kind !== "leg") return [];
  const legs =
    line.kind === "drain" ? buildDrainPath(design, line, buildNetwork(design)).ownLegs : listLineLegs(design, line);
  const leg = legs[at.index];
  if (!leg) return [];
  const points = listPoints(line);
  const wantedMm = needsMm + SPARE_MM;
  const sides = [
    { index: at.index, from: leg.from, to: leg.to, next: legs[at.index + 1], isForward: true },
    { index: at.index - 1, from: leg.to, to: leg.from, next: legs[at.index - 1], isForward: false },
  ];
  return sides
    .flatMap(({ index, from, to, next, isForward }) => {
      const point = points[index];
      if (!point) return [];
      const own = scaleTo(subtract(to, from), wantedMm - measureLength(subtract(to, from)));
      return [own, ...alongNext(from, to, next, wantedMm, isForward)].flatMap((by): Remedy[] => {
        const move = buildMove(design, { kind: "bend", lineId: line.id, index }, add(point, by));
        return move ? [{ byMm: Math.ceil(measureLength(by)), edit: { ...move, code: "makeRoom" } }] : [];
      });
    })
    .sort((a, b) => a.byMm! - b.byMm!);
}

// How far along the piece behind it the end must go until the whole is as long as is wanted; nowhere where that piece is too short.
function alongNext(from: Vec3, to: Vec3, next: Leg | undefined, wantedMm: number, isForward: boolean): Vec3[] {
  if (!next) return [];
  const way = isForward ? subtract(next.to, next.from) : subtract(next.from, next.to);
  const lengthMm = measureLength(way);
  if (lengthMm <= 0) return [];
  const unit = scale(way, 1 / lengthMm);
  const piece = subtract(to, from);
  // |piece + t unit| = wanted
  const half = dot(piece, unit);
  const root = half ** 2 + wantedMm ** 2 - dot(piece, piece);
  if (root < 0) return [];
  const t = Math.sqrt(root) - half;
  return t > 0 && t < lengthMm ? [scale(unit, t)] : [];
}

const scaleTo = (v: Vec3, lengthMm: number): Vec3 => scale(v, lengthMm / (measureLength(v) || 1));
