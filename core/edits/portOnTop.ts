import { createPort } from "../design/createPort";
import { freeId } from "../design/freeId";
import { roundTenth } from "../design/moves";
import type { Port, Tank } from "../design/plumbing";
import { clearPort } from "../fit/clearPort";
import { measureExtent } from "../geometry/solid";
import { type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import { seatPort } from "../templates/seatPort";
import type { EditChain } from "./editChain";

type OnTop = { readonly nearMm: Vec3; readonly boreMm: number };

/** A port put into a tank's top, as near as can be under what comes down there. */
export function addOnTop(chain: EditChain, tank: Tank, kind: "inlet" | "fill", { nearMm, boreMm }: OnTop): Port {
  const { min, max } = measureExtent(tank.solid);
  const within = (value: number, least: number, most: number) =>
    clamp(value, Math.min(least + boreMm, (least + most) / 2), Math.max(most - boreMm, (least + most) / 2));
  const hole = createPort({
    id: freeId(
      kind,
      chain.now().tanks.flatMap(({ ports }) => ports),
    ),
    kind,
    atMm: roundTenth(
      vec(within(nearMm.x - tank.atMm.x, min.x, max.x), within(nearMm.y - tank.atMm.y, min.y, max.y), max.z),
    ),
    boreMm,
  });
  const port = seatPort(tank, clearPort(tank, hole));
  chain.push([{ op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value: port }]);
  return port;
}
