import type { Tank } from "../design/plumbing";
import type { Leg } from "../falls/drainPath";
import { type Block, measureBlockGap, measureLegGap } from "../geometry/blocks";
import { measureApartMm, type Straight } from "../geometry/straight";
import { add, interpolate, measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { listTankBlocks } from "./tankBlocks";

/** What only touches, or gives way so far when it is pushed aside, is in nobody's way, mm [T]. */
export const GIVES_MM = 3;
/** Where two lines are joined they share their room so many outsides far: the body of a wye or a tee [T]. */
const JOINT_OUTSIDES = 3;

/** How deep the outsides of two tanks reach into each other, lagging included, mm; negative where they stand apart [C]. */
export function measureTankClash(one: Tank, other: Tank): number {
  const others = listTankBlocks(other);
  return -Math.min(...listTankBlocks(one).flatMap((a) => others.map((b) => measureBlockGap(a, b))));
}

/** The middle line of a leg. */
export function toAxis({ from, to, pipe }: Leg): Straight {
  const up = vec(0, 0, pipe.innerMm / 2);
  return { from: add(from, up), to: add(to, up) };
}

// A leg never changes, and is held against every other one in every evaluation.
const rooms = new WeakMap<Leg, Block>();

/** The room a leg takes from corner to corner. */
export function findLegRoom(leg: Leg): Block {
  const known = rooms.get(leg);
  if (known) return known;
  const { from, to } = toAxis(leg);
  const half = leg.outsideMm / 2;
  const room = {
    min: vec(Math.min(from.x, to.x) - half, Math.min(from.y, to.y) - half, Math.min(from.z, to.z) - half),
    max: vec(Math.max(from.x, to.x) + half, Math.max(from.y, to.y) + half, Math.max(from.z, to.z) + half),
  };
  rooms.set(leg, room);
  return room;
}

/** How deep a leg reaches into a block, mm, lagging included: at most half its outside; negative where it passes clear [C]. */
export function measureLegIn(leg: Leg, block: Block): number {
  const { from, to } = toAxis(leg);
  return leg.outsideMm / 2 - measureLegGap(from, to, block);
}

/**
 * Whether a leg of a line that is joined to a tank goes on through the inside of it: past its wall, its lagging and the
 * pipe's own half, for it may lie along the tank's side.
 */
export function goesThroughOwn(leg: Leg, tank: Tank): boolean {
  const { from, to } = toAxis(leg);
  const inMm = tank.wallMm + tank.insulationMm + leg.pipe.outerMm / 2 + GIVES_MM;
  return listTankBlocks(tank).some((block) => {
    const inner = shrink(block, inMm);
    return inner !== null && measureLegGap(from, to, inner) === 0;
  });
}

function shrink({ min, max }: Block, byMm: number): Block | null {
  const by = vec(byMm, byMm, byMm);
  const inner = { min: add(min, by), max: subtract(max, by) };
  return inner.min.x < inner.max.x && inner.min.y < inner.max.y && inner.min.z < inner.max.z ? inner : null;
}

/**
 * How deep two pipes with their lagging reach into each other where they are nearest, mm; negative where they pass clear. What lies within the
 * body of a fitting that joins their lines is left out of the first one [C on T].
 */
export function measureLegClash(one: Leg, other: Leg, joints: readonly Vec3[]): number {
  const bare = measureClash(one, other, joints, [one.pipe.outerMm, other.pipe.outerMm]);
  const isBare = one.outsideMm === one.pipe.outerMm && other.outsideMm === other.pipe.outerMm;
  // round a fitting foam is fitted together further out, where bare pipes may meet all the same
  return isBare ? bare : Math.max(bare, measureClash(one, other, joints, [one.outsideMm, other.outsideMm]));
}

function measureClash(
  one: Leg,
  other: Leg,
  joints: readonly Vec3[],
  [wideMm, otherWideMm]: readonly [number, number],
): number {
  const b = toAxis(other);
  const pieces = joints.reduce<Straight[]>(
    (rest, joint) => rest.flatMap((piece) => cutAway(piece, joint, JOINT_OUTSIDES * wideMm)),
    [toAxis(one)],
  );
  const apartMm = Math.min(...pieces.map((a) => measureApartMm(a, b)));
  return (wideMm + otherWideMm) / 2 - apartMm;
}

// What is left of a straight piece outside a ball.
function cutAway({ from, to }: Straight, centre: Vec3, radiusMm: number): Straight[] {
  const run = subtract(to, from);
  const lengthMm = measureLength(run);
  const isIn = (p: Vec3) => measureLength(subtract(p, centre)) <= radiusMm;
  if (lengthMm === 0) return isIn(from) ? [] : [{ from, to }];
  const way = vec(run.x / lengthMm, run.y / lengthMm, run.z / lengthMm);
  const gap = subtract(from, centre);
  const half = gap.x * way.x + gap.y * way.y + gap.z * way.z;
  const under = half * half - (gap.x ** 2 + gap.y ** 2 + gap.z ** 2 - radiusMm ** 2);
  if (under <= 0) return [{ from, to }];
  const [inAt, outAt] = [(-half - Math.sqrt(under)) / lengthMm, (-half + Math.sqrt(under)) / lengthMm];
  if (outAt <= 0 || inAt >= 1) return [{ from, to }];
  return [
    ...(inAt > 0 ? [{ from, to: interpolate(from, to, inAt) }] : []),
    ...(outAt < 1 ? [{ from: interpolate(from, to, outAt), to }] : []),
  ];
}
