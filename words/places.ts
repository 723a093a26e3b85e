import type { RigKind } from "@/core/design/rig";
import type { Vec3 } from "@/core/geometry/vec";
import { formatLength, type Units } from "./units";

/** Where a point is on the plan, in the words of the rig: from the rear edge, beside the middle. */
export function describePlanPlaceMm({ x, y }: Pick<Vec3, "x" | "y">, kind: RigKind, units: Units): string {
  const length = (mm: number) => formatLength(Math.abs(mm), units);
  const [left, right, rear] =
    kind === "boat" ? ["to port", "to starboard", "after edge"] : ["left", "right", "rear edge"];
  const side = Math.abs(y) < 0.05 ? "on the middle" : `${length(y)} ${y > 0 ? left : right} of the middle`;
  return `${length(x)} ${x >= 0 ? "from" : "behind"} the ${rear}, ${side}`;
}

/** The same in space, with its height over the floor or the sole. */
export function describePlaceMm(at: Vec3, kind: RigKind, units: Units): string {
  const height = `${formatLength(Math.abs(at.z), units)} ${at.z >= 0 ? "over" : "below"} the ${kind === "boat" ? "sole" : "floor"}`;
  return `${describePlanPlaceMm(at, kind, units)}, ${height}`;
}
