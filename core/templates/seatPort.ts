import type { Port } from "../design/plumbing";
import { measureExtent, type Solid } from "../geometry/solid";
import { findFace, measureToEdgeMm } from "./tankFaces";

/** So many steps from where a port is to the middle of its side. */
const STEPS = 100;

/**
 * A port moved towards the middle of its side, as little as is needed, until its bore lies within it; as it was where it does, or
 * where the side is too small for it. Source: geometry [C].
 */
export function seatPort({ solid }: { readonly solid: Solid }, port: Port): Port {
  if (measureToEdgeMm(solid, port) >= 0) return port;
  const { min, max } = measureExtent(solid);
  const { face } = findFace(solid, port);
  const isUpright = face !== "top" && face !== "bottom";
  const { x, y, z } = port.atMm;
  const rim = isUpright ? port.boreMm / 2 : 0;
  const toMiddle = {
    x: face === "front" || face === "rear" ? 0 : (min.x + max.x) / 2 - x,
    y: face === "left" || face === "right" ? 0 : (min.y + max.y) / 2 - y,
    z: isUpright ? (min.z + max.z) / 2 - (z + rim) : 0,
  };
  // along one way first, for a port that is too high need not go aside
  const ways = [{ ...toMiddle, x: 0, y: 0 }, { ...toMiddle, z: 0 }, toMiddle];
  for (const way of ways) {
    for (let step = 1; step <= STEPS; step++) {
      const share = step / STEPS;
      const moved = { ...port, atMm: { x: x + share * way.x, y: y + share * way.y, z: z + share * way.z } };
      if (measureToEdgeMm(solid, moved) >= 0) return moved;
    }
  }
  return port;
}
