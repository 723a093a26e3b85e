import type { Design } from "../design/design";
import { toGearBlock } from "../gear/gearBlock";
import type { Block } from "../geometry/blocks";
import { toBlock } from "./obstacleBlock";
import { toTankBlock } from "./obstacleGaps";

/** The room that a tank, a piece of gear or a thing on the rig takes, by its id; null where there is none of that id. */
export function findPartBlock({ tanks, gear, obstacles }: Design, id: string): Block | null {
  const tank = tanks.find((one) => one.id === id);
  if (tank) return toTankBlock(tank);
  const piece = gear.find((one) => one.id === id);
  if (piece) return toGearBlock(piece);
  const obstacle = obstacles.find((one) => one.id === id);
  return obstacle ? toBlock(obstacle) : null;
}
