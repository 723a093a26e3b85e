import type { Design } from "../design/design";
import type { DrainPath } from "../falls/drainPath";
import { interpolate, type Vec3 } from "../geometry/vec";

/** A place where a drain goes through the floor. */
export type Passage = { readonly lineId: string; readonly legIndex: number; readonly atMm: Vec3 };

/** Total thickness of the floor, mm. */
export const measureFloorMm = (design: Design): number =>
  design.rig.floorLayers.reduce((sum, layer) => sum + layer.thicknessMm, 0);

/** Every leg that crosses the finished floor, with the point where it does. */
export function listPassages(path: DrainPath): Passage[] {
  return path.legs.flatMap((leg, legIndex): Passage[] => {
    if (leg.from.z > 0 === leg.to.z > 0) return [];
    const share = leg.from.z / (leg.from.z - leg.to.z);
    return [{ lineId: path.drain.id, legIndex, atMm: interpolate(leg.from, leg.to, share) }];
  });
}
