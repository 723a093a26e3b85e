import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import { listParkedStandings } from "../evaluate/parkedAttitudes";
import { dot } from "../geometry/vec";
import { buildHeightField, measureVolumeBelowL } from "../geometry/volumeBelow";

/**
 * The most that can run out of a full tank by one of its ports, L, at whatever the rig stands like: what stands over the port
 * [C]. The whole tank where it has no such port.
 */
export function measureAbovePortL({ rig }: Pick<Design, "rig">, { solid, ports }: Tank, portId: string): number {
  const port = ports.find(({ id }) => id === portId);
  return Math.max(
    ...listParkedStandings(rig).map(({ up }) => {
      const field = buildHeightField(solid, up);
      return port ? field.capacityL - measureVolumeBelowL(field, dot(up, port.atMm)) : field.capacityL;
    }),
  );
}
