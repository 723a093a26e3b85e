import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { listPoints } from "../design/linePoints";
import { buildMove, findPlaceMm, roundTenth } from "../design/moves";
import type { Finding } from "../evaluate/findings";
import { findPartBlock } from "../fit/partBlock";
import { add, measureLength, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import type { Remedy } from "./remedy";
import { proposeTakenOff, type TankSide } from "./smallerTank";
import { toWay } from "./toWay";

/** A line's point may stand so far beside the floor and is left there: a wall's thickness and what is clipped to it, mm [T]. */
const BESIDE_MM = 150;

/** Where it stands in something at the edge, it is tried so much farther in, mm. */
const FARTHER_MM = Array.from({ length: 40 }, (_, i) => i * 100);

type Off = Extract<Finding, { readonly code: "partOutside" | "partSticksOut" }>;

// By so much a stretch is moved to lie between two edges; one that is longer than they are apart is set in their middle.
function findShift(from: number, to: number, low: number, high: number): number {
  if (to - from > high - low) return (low + high - from - to) / 2;
  return from < low ? low - from : to > high ? high - to : 0;
}

/** What stands where no rig is, moved in over its floor by as little as it takes; of a line only the points that are off it. */
export function proposePartInside(design: Design, { at }: Off): Remedy[] {
  const { lengthMm, widthMm } = design.rig;
  const half = widthMm / 2;
  if (at.kind === "line") return proposeLineInside(design, at.id);
  if (at.kind !== "tank" && at.kind !== "gear") return [];
  const block = findPartBlock(design, at.id);
  const place = findPlaceMm(design, at);
  if (!block || !place) return [];
  const { min, max } = block;
  const [x, y] = [findShift(min.x, max.x, 0, lengthMm), findShift(min.y, max.y, -half, half)];
  const tank = design.tanks.find(({ id }) => id === at.id);
  const over: Readonly<Record<TankSide, number>> = {
    left: max.y - half,
    right: -half - min.y,
    forward: max.x - lengthMm,
    aft: -min.x,
  };
  const moved = FARTHER_MM.flatMap((mm): Remedy[] => {
    const by = vec(x + Math.sign(x) * mm, y + Math.sign(y) * mm, 0);
    const move = buildMove(design, at, roundTenth(add(place, by)));
    return move ? [{ byMm: Math.round(measureLength(by)), way: toWay(by), edit: { ...move, code: "moveInside" } }] : [];
  });
  // where it cannot come in, it may be so much smaller
  return [...moved, ...(tank ? SIDES.flatMap((side) => proposeTakenOff(tank, side, over[side])) : [])];
}

const SIDES = ["left", "right", "forward", "aft"] as const;

function proposeLineInside({ rig, lines }: Design, id: string): Remedy[] {
  const line = lines.find((one) => one.id === id);
  if (!line) return [];
  const key = line.kind === "drain" ? "bendsMm" : "pointsMm";
  const half = rig.widthMm / 2;
  let byMm = 0;
  const ops = listPoints(line).flatMap(({ x, y, z }, i): EditOp[] => {
    const isOff = Math.max(-x, x - rig.lengthMm, Math.abs(y) - half) > BESIDE_MM;
    if (!isOff) return [];
    const to = vec(clamp(x, 0, rig.lengthMm), clamp(y, -half, half), z);
    byMm = Math.max(byMm, Math.hypot(to.x - x, to.y - y));
    return [{ op: "set", path: ["lines", id, key, i], value: roundTenth(to) }];
  });
  if (ops.length === 0) return [];
  return [{ byMm: Math.round(byMm), edit: { code: "moveInside", at: { kind: "line", id }, ops } }];
}
