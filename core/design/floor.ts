import type { Pipe } from "./plumbing";
import type { Rig } from "./rig";

/** Total thickness of the floor, mm. */
export const measureFloorMm = ({ rig }: { readonly rig: Pick<Rig, "floorLayers"> }): number =>
  rig.floorLayers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);

/** Whether the pipe behind a trap leaves it within a floor or over it, mm: with its bore over the weir. Source: geometry [C]. */
export const leavesOverMm = (weirMm: number, { innerMm }: Pipe, undersideMm: number): boolean =>
  weirMm + innerMm > undersideMm;
