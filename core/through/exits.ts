import { ALONG_WALL_MM, HEADROOM_MM, isIndoors, LOWEST_ROOF_MM } from "../air/ventRoom";
import type { Design } from "../design/design";
import type { DumpLine, Line, Pipe } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import type { Leg } from "../falls/drainPath";
import { listLineLegs } from "../fit/lineLegs";
import { toBlock } from "../fit/obstacleBlock";
import type { Passage } from "../fit/passages";
import { findNearestSide, measureBeyond, REACH_MM, RIG_SIDES, type RigSide } from "../fit/rigSides";
import { findRole } from "../fit/roles";
import { interpolate, measureLength, subtract, type Vec3, vec } from "../geometry/vec";

/** Where a line goes out of a rig through what nobody has drawn: one of its sides, or its roof or deck. */
export type Exit = {
  readonly line: Line;
  readonly through: "side" | "roof";
  /** Null through roof and deck. */
  readonly side: RigSide | null;
  /** The middle of the pipe, mm. */
  readonly atMm: Vec3;
  readonly pipe: Pipe;
  /** How far it slants off the square, rad. */
  readonly slantRad: number;
};

/** A wall that is drawn so near is the side itself, mm [T]. */
const SAME_WALL_MM = 100;

type Judged = Pick<Evaluation, "drains" | "linePassages">;

/**
 * Every place over the floor where a drain, a breather or a dump line goes out through a side, the roof or the deck. On land a
 * line does where it leaves the floor's outline; a hull is wider than its sole, and what goes out of it has a fitting. A breather
 * or coupling that ends beside a wall goes out there too, for nobody wants it inside. What is drawn as
 * a wall of its own is a passage already. Source: geometry; how near to a wall is practice [C on T].
 */
export function listExits(design: Design, { drains, linePassages }: Judged): Exit[] {
  const legsOf = new Map(drains.map(({ lineId, legs, ownLegs }) => [lineId, legs.slice(0, ownLegs)]));
  const passages = [...drains.flatMap((drain) => drain.passages), ...linePassages];
  return design.lines.flatMap((line): Exit[] => {
    const exit = placeWayOut(design, line, legsOf.get(line.id) ?? listLineLegs(design, line));
    return exit && !passages.some((one) => one.lineId === line.id && isSameWall(one, exit)) ? [exit] : [];
  });
}

/** The same of one line with its own legs, drawn wall or not; a hose goes out through a piece that is set in the wall. */
export const placeWayOut = (design: Design, line: Line, legs: readonly Leg[]): Exit | null =>
  line.kind === "hose" ? null : (findCrossing(design, line, legs) ?? findEnd(design, line));

// Where it leaves the floor's outline for the first time; below the floor it goes out through nothing.
function findCrossing(design: Design, line: Line, legs: readonly Leg[]): Exit | null {
  if (design.rig.kind === "boat") return null;
  const leg = legs.find(({ to }) => findNearestSide(design.rig, to).byMm > 0);
  if (!leg || findNearestSide(design.rig, leg.from).byMm > 0) return null;
  const { from, to, pipe } = leg;
  const [{ side, share }] = RIG_SIDES.flatMap((side) => {
    const [a, b] = [measureBeyond(design.rig, from, side), measureBeyond(design.rig, to, side)];
    return b > 0 ? [{ side, share: -a / (b - a) }] : [];
  }).sort((a, b) => a.share - b.share) as [{ readonly side: RigSide; readonly share: number }];
  const invert = interpolate(from, to, share);
  const atMm = vec(invert.x, invert.y, invert.z + pipe.innerMm / 2);
  if (atMm.z <= 0) return null;
  const square = Math.abs(measureBeyond(design.rig, to, side) - measureBeyond(design.rig, from, side));
  const slantRad = Math.acos(Math.min(1, square / Math.max(1e-9, leg.lengthMm)));
  return { line, through: "side", side, atMm, pipe, slantRad };
}

// A breather that ends inside the outline, beside a wall or over all headroom; or a dump line's coupling beside a wall.
function findEnd(design: Design, line: Line): Exit | null {
  if (line.kind === "dumpLine") return findCoupling(design, line);
  if (line.kind !== "vent" || line.to.kind !== "openAir") return null;
  const end = line.pointsMm.at(-1);
  if (!end) return null;
  const { side, byMm } = findNearestSide(design.rig, end);
  const isLand = design.rig.kind !== "boat";
  // below the floor it is outside, and what went out there may rise again
  if (isLand && (end.z <= 0 || byMm > 0)) return null;
  if (isIndoors(design, end)) return null;
  const isRoof = byMm < -ALONG_WALL_MM || end.z >= (isLand ? HEADROOM_MM : LOWEST_ROOF_MM.boat);
  const common = { line, pipe: line.pipe, slantRad: 0 };
  if (isRoof) return { ...common, through: "roof", side: null, atMm: vec(end.x, end.y, end.z) };
  return { ...common, through: "side", side, atMm: isLand ? toSide(design, end, side) : vec(end.x, end.y, end.z) };
}

function findCoupling(design: Design, line: DumpLine): Exit | null {
  const { pointsMm, to, pipe } = line;
  const end = pointsMm.at(-1);
  if (design.rig.kind === "boat" || to.kind !== "coupling" || !end) return null;
  const { side, byMm } = findNearestSide(design.rig, end);
  const atMm = toSide(design, vec(end.x, end.y, end.z + pipe.innerMm / 2), side);
  if (byMm > 0 || byMm < -REACH_MM || atMm.z <= 0) return null;
  return { line, through: "side", side, atMm, pipe, slantRad: 0 };
}

// A wall drawn along the side, at the side, and not a cabinet or a bulkhead that stands against it.
function isSameWall({ panel, atMm }: Passage, exit: Exit): boolean {
  if (!panel || !exit.side || findRole(panel.kind) !== "panel") return false;
  const axis = exit.side === "left" || exit.side === "right" ? "y" : "x";
  const { min, max } = toBlock(panel);
  return max[axis] - min[axis] < SAME_WALL_MM && measureLength(subtract(atMm, exit.atMm)) < SAME_WALL_MM;
}

const toSide = ({ rig: { lengthMm, widthMm } }: Pick<Design, "rig">, { x, y, z }: Vec3, side: RigSide): Vec3 =>
  ({
    left: vec(x, widthMm / 2, z),
    right: vec(x, -widthMm / 2, z),
    rear: vec(0, y, z),
    front: vec(lengthMm, y, z),
  })[side];
