import type { Port, Tank } from "../design/plumbing";
import type { Block } from "../geometry/blocks";
import { add, scale, type Vec3, vec } from "../geometry/vec";
import { type Face, findFace } from "../templates/tankFaces";

const OUTWARD: Readonly<Record<Face, Vec3>> = {
  rear: vec(-1, 0, 0),
  front: vec(1, 0, 0),
  right: vec(0, -1, 0),
  left: vec(0, 1, 0),
  bottom: vec(0, 0, -1),
  top: vec(0, 0, 1),
};

/** A fitting is wider than its bore by a wall and a nut on each side, mm [T]. */
const AROUND_MM = 10;

/** The room that what stands before a port takes, from the outside of the tank outward; null where nothing does [C]. */
export function findFittingBlock(tank: Tank, port: Port): Block | null {
  if (port.fittingMm <= 0) return null;
  const { face } = findFace(tank.solid, port);
  const out = OUTWARD[face];
  const isUpright = out.z === 0;
  // a port in a wall is given by its invert
  const middle = add(add(tank.atMm, port.atMm), vec(0, 0, isUpright ? port.boreMm / 2 : 0));
  const foot = add(middle, scale(out, tank.wallMm));
  const end = add(middle, scale(out, tank.wallMm + port.fittingMm));
  const half = port.boreMm / 2 + AROUND_MM;
  const side = vec(out.x === 0 ? half : 0, out.y === 0 ? half : 0, out.z === 0 ? half : 0);
  const of = (pick: (a: number, b: number) => number, sign: 1 | -1): Vec3 =>
    vec(pick(foot.x, end.x) + sign * side.x, pick(foot.y, end.y) + sign * side.y, pick(foot.z, end.z) + sign * side.z);
  return { min: of(Math.min, -1), max: of(Math.max, 1) };
}
