import type { Surroundings } from "../design/design";
import type { Port, Tank } from "../design/plumbing";
import { measureBlockGap } from "../geometry/blocks";
import { findFittingBlock } from "./fittingBlock";
import { toBlock } from "./obstacleBlock";
import type { ObstacleGap } from "./obstacleGaps";
import { listTankHinders } from "./tankHinders";

/** Gap between what stands before a port and every obstacle that is in the way of a tank, mm; negative reaches in [C]. */
export function measureFittingGaps(design: Surroundings, tank: Tank, port: Port): ObstacleGap[] {
  const block = findFittingBlock(tank, port);
  if (!block) return [];
  return listTankHinders(design).map((obstacle) => ({ obstacle, gapMm: measureBlockGap(block, toBlock(obstacle)) }));
}
