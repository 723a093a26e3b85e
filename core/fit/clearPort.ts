import type { Port, Tank } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";
import { findPortHoleMm } from "../templates/portHole";
import { type Face, findFace } from "../templates/tankFaces";

/** Web of wall that two holes leave between them for nuts and sealing, mm [T]. */
const WEB_MM = 16;
const STEP_MM = 5;

const ALONG: Readonly<Record<Face, "x" | "y">> = {
  front: "y",
  rear: "y",
  left: "x",
  right: "x",
  top: "x",
  bottom: "x",
};

/**
 * A port moved along its wall, as little as is needed, until it leaves a web to every other hole in that side; where
 * there is no such place it stays. Ports of the tank with its own id are the port itself [C].
 */
export function clearPort(tank: Pick<Tank, "solid" | "ports">, port: Port): Port {
  const { face } = findFace(tank.solid, port);
  const others = tank.ports.filter((other) => other.id !== port.id && findFace(tank.solid, other).face === face);
  if (others.length === 0) return port;
  const axis = ALONG[face];
  const { min, max } = measureExtent(tank.solid);
  const half = measureCutMm(port) / 2;
  const isClear = (atMm: Vec3) =>
    others.every((other) => {
      const across =
        face === "top" || face === "bottom" ? other.atMm.y - atMm.y : middleZ(other) - (atMm.z + port.boreMm / 2);
      return Math.hypot(other.atMm[axis] - atMm[axis], across) >= half + measureCutMm(other) / 2 + WEB_MM;
    });
  for (let step = 0; step * STEP_MM <= max[axis] - min[axis]; step++) {
    for (const sense of step === 0 ? [1] : [1, -1]) {
      const place = port.atMm[axis] + sense * step * STEP_MM;
      if (place < min[axis] + half || place > max[axis] - half) continue;
      const atMm = { ...port.atMm, [axis]: place };
      if (isClear(atMm)) return { ...port, atMm };
    }
  }
  return port;
}

// A thread goes through a wider hole than its bore.
const measureCutMm = (port: Port): number => Math.max(port.boreMm, findPortHoleMm(port) ?? 0);

const middleZ = ({ atMm, boreMm }: Port): number => atMm.z + boreMm / 2;
