import type { Obstacle } from "../design/rig";
import type { Block } from "../geometry/blocks";
import { add, vec } from "../geometry/vec";

/** The room something takes that stands on the rig, mm. */
export function toBlock(obstacle: Obstacle): Block {
  const known = blocks.get(obstacle);
  if (known) return known;
  const { atMm, lengthMm, widthMm, heightMm } = obstacle;
  const block = { min: atMm, max: add(atMm, vec(lengthMm, widthMm, heightMm)) };
  blocks.set(obstacle, block);
  return block;
}

const blocks = new WeakMap<Obstacle, Block>();
