import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear, GearKind, HoseEnd } from "../design/gear";
import { roundTenth } from "../design/moves";
import { toNodes } from "../design/nodes";
import type { Hose } from "../design/plumbing";
import { GIVES_MM } from "../fit/clashes";
import { placeHoseEnd } from "../fit/lineLegs";
import { toBlock } from "../fit/obstacleBlock";
import { findClearance, keepsAway } from "../fit/obstacleGaps";
import { hindersTanks } from "../fit/roles";
import { measureThroughSides } from "../fit/sides";
import { listTankBlocks, measureBlocksInFloorMm } from "../fit/tankBlocks";
import { toGearBlock } from "../gear/gearBlock";
import { placeGearPort } from "../gear/gearPorts";
import { USUAL_GEAR } from "../gear/usualGear";
import { measureBlockGap } from "../geometry/blocks";
import { subtract, type Vec3, vec } from "../geometry/vec";
import { cutHose } from "./cutHose";

export const toGear = (gearId: string, port: string): HoseEnd => ({ kind: "gear", gearId, port });

export const isSameEnd = (a: HoseEnd, b: HoseEnd): boolean =>
  a.kind === "gear"
    ? b.kind === "gear" && a.gearId === b.gearId && a.port === b.port
    : b.kind === "tank" && a.tankId === b.tankId && a.portId === b.portId;

/** The hose that begins or ends at a port. */
export const findHoseAt = ({ lines }: Pick<Design, "lines">, at: HoseEnd): Hose | undefined =>
  lines.find((line): line is Hose => line.kind === "hose" && [line.from, line.to].some((end) => isSameEnd(end, at)));

/** The usual piece of a kind, so that one of its ports comes to a place of the rig. */
export function placePiece({ gear }: Pick<Design, "gear">, kind: GearKind, name: string, port: string, to: Vec3): Gear {
  const piece: Gear = { id: freeId(kind.toLowerCase(), gear), name, atMm: vec(0, 0, 0), ...USUAL_GEAR[kind] };
  return { ...piece, atMm: roundTenth(subtract(to, placeGearPort(piece, port))) };
}

/** Operations that put a piece into a hose right at one of its ends, whichever way the hose was drawn. */
export function putAtEnd(
  design: Pick<Design, "gear" | "lines">,
  hose: Hose,
  end: HoseEnd,
  piece: Gear,
  [near, far]: readonly [near: string, far: string],
): EditOp[] {
  const count = hose.pointsMm.length;
  return isSameEnd(hose.to, end)
    ? cutHose(design, hose, [count, count], piece, [far, near])
    : cutHose(design, hose, [0, 0], piece, [near, far]);
}

/** Whether a piece stands clear of tanks and gear, and as far from what is hot or moves as the rules ask. */
export function isFree({ rig, tanks, gear, obstacles, rules }: Design, piece: Gear): boolean {
  const block = toGearBlock(piece);
  return (
    [...tanks.flatMap(listTankBlocks), ...gear.map(toGearBlock)].every((other) => measureBlockGap(block, other) >= 0) &&
    obstacles
      .filter(({ kind }) => hindersTanks(kind))
      .every(
        (one) => measureBlockGap(block, toBlock(one)) >= (keepsAway(one) ? (findClearance(rules, one).value ?? 0) : 0),
      ) &&
    obstacles.every((one) => measureThroughSides(block, one) === null) &&
    measureBlocksInFloorMm({ rig }, [block]) <= GIVES_MM
  );
}

/** Over the floor, where a hose that came through it turns, mm [T]. */
const TURN_MM = 60;

/** The points of a hose: straight up through the floor where it comes from, so that the hole is round, and then on. */
export function riseThroughFloor(design: Design, from: HoseEnd, to: HoseEnd): Hose["pointsMm"] {
  const [a, b] = [placeHoseEnd(design, from), placeHoseEnd(design, to)];
  if (a.z < 0 === b.z < 0) return [];
  const low = a.z < b.z ? a : b;
  return toNodes([roundTenth(vec(low.x, low.y, TURN_MM))]);
}
