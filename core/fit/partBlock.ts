import type { Design } from "../design/design";
import { toGearBlock } from "../gear/gearBlock";
import type { Block } from "../geometry/blocks";
import { FLOOR_ID } from "./floorObstacle";
import { toBlock } from "./obstacleBlock";
import { toTankBlock } from "./obstacleGaps";
import { toFloorBlock } from "./tankBlocks";

/** The room that a tank, a piece of gear or a thing on the rig takes, by its id; null where there is none of that id. */
export function findPartBlock(design: Design, id: string): Block | null {
  const { tanks, gear, obstacles } = design;
  const tank = tanks.find((one) => one.id === id);
  if (tank) return toTankBlock(tank);
  const piece = gear.find((one) => one.id === id);
  if (piece) return toGearBlock(piece);
  const obstacle = obstacles.find((one) => one.id === id);
  if (id === FLOOR_ID) return toFloorBlock(design);
  return obstacle ? toBlock(obstacle) : null;
}
