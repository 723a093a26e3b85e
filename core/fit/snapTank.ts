import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import { type Vec3, vec } from "../geometry/vec";
import { toBlock } from "./obstacleBlock";
import { findClearance, toTankBlock } from "./obstacleGaps";
import { listTankHinders } from "./tankHinders";

type Axis = "x" | "y" | "z";

/**
 * A shift of a tank, mm, drawn to where it just keeps its room to what is beside it, or its top just meets the floor's
 * underside or its middle the middle of the rig, when it comes nearer to that than `nearMm` on an axis along which it is
 * moved at all. The shift itself where nothing is near, or the tank is not there [C].
 */
export function snapTank(design: Design, tankId: string, shift: Vec3, nearMm: number): Vec3 {
  const tank = design.tanks.find(({ id }) => id === tankId);
  if (!tank) return shift;
  const { min, max } = toTankBlock(tank);
  const others = listTankHinders(design).map((obstacle) => ({
    ...toBlock(obstacle),
    roomMm: findClearance(design.rules, obstacle).value ?? 0,
  }));
  const snapAxis = (axis: Axis): number => {
    const by = shift[axis];
    if (by === 0) return 0;
    // beside it are those that share its stretch of the other two axes
    const beside = others.filter((other) =>
      (["x", "y", "z"] as const).every(
        (one) => one === axis || (other.max[one] > min[one] + shift[one] && other.min[one] < max[one] + shift[one]),
      ),
    );
    const targets = [
      ...beside.flatMap((other) => [
        other.max[axis] + other.roomMm - min[axis],
        other.min[axis] - other.roomMm - max[axis],
      ]),
      ...(axis === "z" ? [-measureFloorMm(design) - max.z] : []),
      ...(axis === "y" ? [-(min.y + max.y) / 2] : []),
    ];
    const nearest = targets.reduce((a, b) => (Math.abs(b - by) < Math.abs(a - by) ? b : a), Infinity);
    return Math.abs(nearest - by) <= nearMm ? nearest : by;
  };
  return vec(snapAxis("x"), snapAxis("y"), snapAxis("z"));
}
