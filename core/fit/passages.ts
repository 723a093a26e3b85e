import type { Design } from "../design/design";
import type { DrainPath } from "../falls/drainPath";
import { interpolate, type Vec3 } from "../geometry/vec";
import { computeFloorHole, type Hole } from "./holeSize";

/** A place where a drain goes through the floor. */
export type Passage = {
  readonly lineId: string;
  readonly legIndex: number;
  readonly atMm: Vec3;
  /** How steeply the pipe goes through, to the floor. */
  readonly angleRad: number;
  /** The hole it needs, with room to seal. */
  readonly hole: Hole;
};

/** Total thickness of the floor, mm. */
export const measureFloorMm = (design: Design): number =>
  design.rig.floorLayers.reduce((sum, layer) => sum + layer.thicknessMm, 0);

/** Every leg that crosses the finished floor, where it does, and the hole it needs with `clearanceMm` ≥ 0 all round [C]. */
export function listPassages(path: DrainPath, floorMm: number, clearanceMm: number): Passage[] {
  return path.ownLegs.flatMap((leg, legIndex): Passage[] => {
    if (leg.from.z > 0 === leg.to.z > 0) return [];
    const share = leg.from.z / (leg.from.z - leg.to.z);
    const angleRad = Math.atan2(Math.abs(leg.from.z - leg.to.z), leg.planLengthMm);
    const hole = computeFloorHole(path.pipe.outerMm, angleRad, floorMm, clearanceMm);
    return [{ lineId: path.drain.id, legIndex, atMm: interpolate(leg.from, leg.to, share), angleRad, hole }];
  });
}
