import type { RigKind } from "@/core/design/rig";
import type { Vec3 } from "@/core/geometry/vec";
import { formatLength, type Units } from "./units";

/** Where a point is, in the words of the rig: from the rear edge, beside the middle, over the floor. */
export function describePlaceMm({ x, y, z }: Vec3, kind: RigKind, units: Units): string {
  const length = (mm: number) => formatLength(Math.abs(mm), units);
  const [left, right, floor, rear] =
    kind === "boat" ? ["to port", "to starboard", "sole", "after edge"] : ["left", "right", "floor", "rear edge"];
  const side = Math.abs(y) < 0.05 ? "on the middle" : `${length(y)} ${y > 0 ? left : right} of the middle`;
  const height = `${length(z)} ${z >= 0 ? "over" : "below"} the ${floor}`;
  return `${length(x)} ${x >= 0 ? "from" : "behind"} the ${rear}, ${side}, ${height}`;
}
