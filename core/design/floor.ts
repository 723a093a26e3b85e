import type { Rig } from "./rig";

/** Total thickness of the floor, mm. */
export const measureFloorMm = ({ rig }: { readonly rig: Pick<Rig, "floorLayers"> }): number =>
  rig.floorLayers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
