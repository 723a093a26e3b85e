import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import type { Obstacle, Rig } from "../design/rig";
import { vec } from "../geometry/vec";

/** No part of a design is called that. */
export const FLOOR_ID = "*floor";

const floors = new WeakMap<Rig, Obstacle>();

/** The floor as something that stands on the rig: a wall that lies flat. */
export function toFloorObstacle({ rig }: Pick<Design, "rig">): Obstacle {
  const known = floors.get(rig);
  if (known) return known;
  const heightMm = measureFloorMm({ rig });
  const floor: Obstacle = {
    id: FLOOR_ID,
    name: "",
    kind: "bulkhead",
    atMm: vec(0, -rig.widthMm / 2, -heightMm),
    lengthMm: rig.lengthMm,
    widthMm: rig.widthMm,
    heightMm,
  };
  floors.set(rig, floor);
  return floor;
}
