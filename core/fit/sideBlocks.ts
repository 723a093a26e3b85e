import type { Obstacle } from "../design/rig";
import type { Block } from "../geometry/blocks";
import type { Vec3 } from "../geometry/vec";
import { toBlock } from "./obstacleBlock";
import { listSides, measureThroughSides, type Side } from "./sides";

/** The side of a cabinet that a block stands through, as a block of its own; null where it stands through none. */
export function findSideThrough(block: Block, obstacle: Obstacle): Block | null {
  const gapMm = measureThroughSides(block, obstacle);
  const side = listSides(obstacle).find(
    ({ axis, atMm }) => gapMm !== null && Math.min(atMm - block.min[axis], block.max[axis] - atMm) === -gapMm,
  );
  return side ? toSideBlock(obstacle, side) : null;
}

/** The side of a cabinet or wall that is nearest to a point, as a block of its own. */
export function findSideNear(p: Vec3, obstacle: Obstacle): Block | null {
  const [nearest] = [...listSides(obstacle)].sort(
    (a, b) => Math.abs(p[a.axis] - a.atMm) - Math.abs(p[b.axis] - b.atMm),
  );
  return nearest ? toSideBlock(obstacle, nearest) : null;
}

function toSideBlock(obstacle: Obstacle, { axis, atMm }: Side): Block {
  const { min, max } = toBlock(obstacle);
  return { min: { ...min, [axis]: atMm }, max: { ...max, [axis]: atMm } };
}
