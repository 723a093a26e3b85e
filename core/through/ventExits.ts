import { listOwnCourse } from "../air/ventPath";
import { ALONG_WALL_MM, HEADROOM_MM, isIndoors, LOWEST_ROOF_MM } from "../air/ventRoom";
import type { Design } from "../design/design";
import type { Vent } from "../design/plumbing";
import { toBlock } from "../fit/obstacleGaps";
import type { Passage } from "../fit/passages";
import { findRole } from "../fit/roles";
import { interpolate, measureLength, subtract, type Vec3, vec } from "../geometry/vec";

export const RIG_SIDES = ["left", "right", "rear", "front"] as const;
export type RigSide = (typeof RIG_SIDES)[number];

/** Where a breather comes out of a rig: on the inside of one of its sides, or, where `side` is null, of its roof or deck. */
export type VentExit = {
  readonly vent: Vent;
  readonly through: "side" | "roof";
  readonly side: RigSide | null;
  readonly atMm: Vec3;
};

/** A wall that is drawn so near is the side itself, mm [T]. */
const SAME_WALL_MM = 100;

/**
 * Every place over the floor where a breather goes out through a side, the roof or the deck. One that ends beside a wall goes
 * out there, for nobody wants its air inside; drinking water's may end inside, and does where it is drawn so. What is drawn
 * as a wall of its own is in `passages` already. Source: geometry; how near to a wall is practice [C on T].
 */
export const listVentExits = (design: Design, passages: readonly Passage[]): VentExit[] =>
  design.lines.flatMap((vent): VentExit[] => {
    const exit = vent.kind === "vent" && vent.to.kind === "openAir" ? findExit(design, vent) : null;
    if (!exit) return [];
    return passages.some((passage) => passage.lineId === vent.id && isSameWall(passage, exit)) ? [] : [exit];
  });

// A wall drawn along the side, at the side, and not a cabinet or a bulkhead that stands against it.
function isSameWall({ panel, atMm }: Passage, exit: VentExit): boolean {
  if (!panel || !exit.side || findRole(panel.kind) !== "panel") return false;
  const axis = exit.side === "left" || exit.side === "right" ? "y" : "x";
  const { min, max } = toBlock(panel);
  return max[axis] - min[axis] < SAME_WALL_MM && measureLength(subtract(atMm, exit.atMm)) < SAME_WALL_MM;
}

function findExit(design: Design, vent: Vent): VentExit | null {
  const course = listOwnCourse(design, vent);
  const leaving = course.findIndex((p) => measureBeyond(design, p).byMm > 0);
  if (leaving === 0) return null;
  if (leaving > 0) return crossSide(design, vent, course[leaving - 1]!, course[leaving]!);
  const end = course.at(-1)!;
  const { rig, tanks } = design;
  const isFresh = tanks.find(({ id }) => id === vent.fromTank)?.holds === "fresh";
  if (end.z <= 0 || isFresh || isIndoors(design, end)) return null;
  const { side, byMm } = measureBeyond(design, end);
  const topMm = rig.kind === "boat" ? LOWEST_ROOF_MM.boat : HEADROOM_MM;
  if (-byMm > ALONG_WALL_MM || end.z >= topMm)
    return { vent, through: "roof", side: null, atMm: vec(end.x, end.y, end.z) };
  return { vent, through: "side", side, atMm: toSide(design, end, side) };
}

// Where a leg leaves the floor's outline; below the floor it goes out through nothing.
function crossSide(design: Design, vent: Vent, from: Vec3, to: Vec3): VentExit | null {
  const crossings = RIG_SIDES.flatMap((side) => {
    const [a, b] = [measureBeside(design, from, side), measureBeside(design, to, side)];
    return b > 0 ? [{ side, share: -a / (b - a) }] : [];
  });
  const [first] = crossings.sort((a, b) => a.share - b.share);
  const atMm = interpolate(from, to, first!.share);
  return atMm.z > 0 ? { vent, through: "side", side: first!.side, atMm } : null;
}

// How far a place is outside of a side, mm; below 0 inside.
function measureBeside({ rig: { lengthMm, widthMm } }: Pick<Design, "rig">, { x, y }: Vec3, side: RigSide): number {
  return { left: y - widthMm / 2, right: -y - widthMm / 2, rear: -x, front: x - lengthMm }[side];
}

// The side it is the furthest beyond, or the nearest to.
const measureBeyond = (design: Pick<Design, "rig">, p: Vec3): { readonly side: RigSide; readonly byMm: number } =>
  RIG_SIDES.map((side) => ({ side, byMm: measureBeside(design, p, side) })).reduce((a, b) => (b.byMm > a.byMm ? b : a));

const toSide = ({ rig: { lengthMm, widthMm } }: Pick<Design, "rig">, { x, y, z }: Vec3, side: RigSide): Vec3 =>
  ({
    left: vec(x, widthMm / 2, z),
    right: vec(x, -widthMm / 2, z),
    rear: vec(0, y, z),
    front: vec(lengthMm, y, z),
  })[side];
