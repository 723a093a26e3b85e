import type { Design } from "../design/design";
import type { Outfall } from "../design/plumbing";
import { type Vec3, vec } from "../geometry/vec";
import type { FreeEnd } from "./sectionLayout";

/**
 * What lies under the end of a drain that ends in no tank: how far its water falls, and into what. A vessel stands on the
 * floor where the drain ends over it, else on the ground; what goes overboard falls to the water outside; a sump has its
 * own height.
 */
export function layOutFreeEnd(
  { habits, gear, rig }: Design,
  to: Outfall,
  endMm: Vec3,
  heightOf: (p: Vec3) => number,
): FreeEnd | null {
  const at = (z: number) => heightOf(vec(endMm.x, endMm.y, z));
  switch (to.kind) {
    case "inlet":
    case "junction":
      return null;
    case "ground":
      return { into: "ground", name: null, lowH: at(rig.groundZMm), rimH: null };
    case "vessel": {
      const name = habits.vessels.find(({ id }) => id === to.vesselId)?.name ?? to.vesselId;
      return { into: "vessel", name, lowH: at(endMm.z > 0 ? 0 : rig.groundZMm), rimH: null };
    }
    case "overboard": {
      const name = gear.find(({ id }) => id === to.gearId)?.name ?? to.gearId;
      const outside = rig.waterlineZMm ?? rig.groundZMm;
      return { into: "overboard", name, lowH: at(Math.min(outside, endMm.z)), rimH: null };
    }
    case "sump": {
      const piece = gear.find(({ id }) => id === to.gearId);
      const bottomZ = piece?.atMm.z ?? endMm.z;
      return {
        into: "sump",
        name: piece?.name ?? to.gearId,
        lowH: at(bottomZ),
        rimH: at(bottomZ + (piece?.sizeMm.z ?? 0)),
      };
    }
  }
}
