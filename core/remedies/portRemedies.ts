import type { Design } from "../design/design";
import { buildMove, roundTenth } from "../design/moves";
import type { PartRef } from "../design/part";
import type { Port, Tank } from "../design/plumbing";
import { clearPort } from "../fit/clearPort";
import { measureExtent } from "../geometry/solid";
import { add, measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { seatPort } from "../templates/seatPort";
import type { Remedy } from "./remedy";
import { toWay } from "./toWay";

type PortRef = Extract<PartRef, { readonly kind: "port" }>;

/** A port moved along its wall until it leaves a web to every other hole in it; none where there is no such place. */
export function proposeAlongWallOf(design: Design, tank: Tank, at: PortRef): Remedy[] {
  const port = tank.ports.find(({ id }) => id === at.id);
  if (!port) return [];
  const by = subtract(clearPort(tank, port).atMm, port.atMm);
  const move = buildMove(design, at, add(add(tank.atMm, port.atMm), by));
  return move ? [{ byMm: measureLength(by), edit: { ...move, code: "shiftPort" } }] : [];
}

/** A breather's port moved over the tank's top, to its middle, its ends and its corners, by as little as helps. */
export function proposeAcrossTop(tank: Tank, at: PortRef): Remedy[] {
  const port = tank.ports.find(({ id }) => id === at.id);
  if (!port) return [];
  const { min, max } = measureExtent(tank.solid);
  const [edge, middle] = [port.boreMm, vec((min.x + max.x) / 2, (min.y + max.y) / 2, max.z)];
  const places = [min.x + edge, middle.x, max.x - edge].flatMap((x) =>
    [min.y + edge, middle.y, max.y - edge].map((y) => vec(x, y, max.z)),
  );
  return proposePlaces(tank, port, places, "shiftPort");
}

/** An outlet set at the foot of each wall and corner of its tank, by as little as helps. */
export function proposeLowerOutlet(tank: Tank): Remedy[] {
  const { min, max } = measureExtent(tank.solid);
  const [x, y] = [(min.x + max.x) / 2, (min.y + max.y) / 2];
  return tank.ports.flatMap((port): Remedy[] => {
    if (port.kind !== "outlet") return [];
    const rim = port.boreMm / 2;
    const along = [min.y + rim, y, max.y - rim].flatMap((aside) => [
      vec(min.x, aside, min.z),
      vec(max.x, aside, min.z),
    ]);
    const across = [min.x + rim, x, max.x - rim].flatMap((aside) => [
      vec(aside, min.y, min.z),
      vec(aside, max.y, min.z),
    ]);
    return proposePlaces(tank, port, [{ ...port.atMm, z: min.z }, ...along, ...across], "lowerOutlet");
  });
}

function proposePlaces(tank: Tank, port: Port, places: readonly Vec3[], code: "shiftPort" | "lowerOutlet"): Remedy[] {
  const at = { kind: "port", tankId: tank.id, id: port.id } as const;
  return places
    .map((atMm) => {
      const value = roundTenth(seatPort(tank, { ...port, atMm }).atMm);
      const by = subtract(value, port.atMm);
      return { value, byMm: measureLength(by), way: toWay(by) };
    })
    .filter(({ byMm }) => byMm >= 1)
    .sort((a, b) => a.byMm - b.byMm)
    .map(({ value, byMm, way }) => ({
      byMm,
      way,
      edit: { code, at, ops: [{ op: "set", path: ["tanks", tank.id, "ports", port.id, "atMm"], value }] },
    }));
}
