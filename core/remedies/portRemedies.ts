import type { Design } from "../design/design";
import { buildMove } from "../design/moves";
import type { PartRef } from "../design/part";
import type { Tank } from "../design/plumbing";
import { clearPort } from "../fit/clearPort";
import { add, measureLength, subtract } from "../geometry/vec";
import type { Remedy } from "./remedy";

/** A port moved along its wall until it leaves a web to every other hole in it; none where there is no such place. */
export function proposeAlongWallOf(
  design: Design,
  tank: Tank,
  at: Extract<PartRef, { readonly kind: "port" }>,
): Remedy[] {
  const port = tank.ports.find(({ id }) => id === at.id);
  if (!port) return [];
  const by = subtract(clearPort(tank, port).atMm, port.atMm);
  const move = buildMove(design, at, add(add(tank.atMm, port.atMm), by));
  return move ? [{ byMm: measureLength(by), edit: { ...move, code: "shiftPort" } }] : [];
}
