import type { Edit, EditOp } from "../design/editOps";
import type { Port, Tank } from "../design/plumbing";
import { clearPort } from "../fit/clearPort";
import { measureExtent } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";
import { seatPort } from "../templates/seatPort";
import type { Face } from "../templates/tankFaces";

/** Edit that gives a port another bore, mm; a valve that had the port's own goes with it. What is no number is refused as such. */
export function buildPortBore(tank: Tank, port: Port, value: number | null): Edit {
  const { id, boreMm, valve } = port;
  const path = ["tanks", tank.id, "ports", id];
  const ops: EditOp[] = [{ op: "set", path: [...path, "boreMm"], value }];
  // one that would break through the edge of its wall goes farther in
  const seated = value === null ? port : seatPort(tank, { ...port, boreMm: value });
  if (seated.atMm !== port.atMm) ops.push({ op: "set", path: [...path, "atMm"], value: seated.atMm });
  if (valve?.boreMm === boreMm) ops.push({ op: "set", path: [...path, "valve", "boreMm"], value });
  return { code: "change", at: { kind: "port", tankId: tank.id, id }, ops };
}

/**
 * Edit that sets a port into another side of its tank: in its middle and as high as it was, as far as the side reaches, and
 * clear of the holes that are there [C].
 */
export function buildPortToSide(tank: Tank, port: Port, side: Face): Edit {
  const { min, max } = measureExtent(tank.solid);
  const [x, y] = [(min.x + max.x) / 2, (min.y + max.y) / 2];
  const z = Math.min(port.atMm.z, max.z - port.boreMm);
  const places: Readonly<Record<Face, Vec3>> = {
    front: { x: max.x, y, z },
    rear: { x: min.x, y, z },
    left: { x, y: max.y, z },
    right: { x, y: min.y, z },
    top: { x, y, z: max.z },
    bottom: { x, y, z: min.z },
  };
  const moved = clearPort(tank, { ...port, atMm: places[side] });
  return {
    code: "move",
    at: { kind: "port", tankId: tank.id, id: port.id },
    ops: [{ op: "set", path: ["tanks", tank.id, "ports", port.id, "atMm"], value: moved.atMm }],
  };
}
