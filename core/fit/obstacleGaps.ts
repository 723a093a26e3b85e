import type { RulesChoice, Surroundings } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { Obstacle } from "../design/rig";
import type { DrainPath, Leg } from "../falls/drainPath";
import { type Block, measureBlockGap, measureLegGap } from "../geometry/blocks";
import { measureExtent } from "../geometry/solid";
import { add, type Vec3, vec } from "../geometry/vec";
import { createRecall } from "../quantity/recall";
import type { LimitId } from "../rules/limitIds";
import { type Limit, lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { toAxis } from "./clashes";
import { findFittingBlock } from "./fittingBlock";
import { toBlock } from "./obstacleBlock";
import { hindersPipes } from "./roles";
import { measureAlongSides, measureThroughSides } from "./sides";
import { listTankBlocks } from "./tankBlocks";
import { isOfSkin, listTankHinders } from "./tankHinders";

/**
 * The room between a part and something that is already on the rig; negative is how deep it reaches in. Within: what it
 * reaches into is a wall or the side of a cabinet, which it may go through by a hole only.
 */
export type ObstacleGap = { readonly obstacle: Obstacle; readonly gapMm: number; readonly within?: Within };
export type Within = "wall" | "side";

/** What is hot or moves wants more room than what only stands there. */
const CLEARANCES: Readonly<Partial<Record<Obstacle["kind"], LimitId>>> = {
  exhaust: "exhaustGap",
  axle: "movingGap",
  shaft: "movingGap",
};

/** Whether a distance is kept from it by whatever it is near to: it is hot, or it moves. */
export const keepsAway = ({ kind }: Pick<Obstacle, "kind">): boolean => kind in CLEARANCES;

/** The room the rules ask for between a pipe or tank and an obstacle; an exhaust without a shield wants more. */
export const findClearance = (rules: RulesChoice, { kind, bare }: Pick<Obstacle, "kind" | "bare">): Limit =>
  lookUpLimit(rules, kind === "exhaust" && bare ? "exhaustBareGap" : (CLEARANCES[kind] ?? "obstacleGap"));

/** Outside of a tank as a block, wall and lagging included, mm. A stepped tank counts with its largest sizes. */
export function toTankBlock(tank: Tank): Block {
  const { min, max } = measureExtent(tank.solid);
  const thick = tank.wallMm + tank.insulationMm;
  const wall = vec(thick, thick, thick);
  return {
    min: add(add(tank.atMm, min), vec(-wall.x, -wall.y, -wall.z)),
    max: add(add(tank.atMm, max), wall),
  };
}

/** Gap from a tank to every obstacle that is in its way, mm [C]. */
export function measureTankGaps(design: Surroundings, tank: Tank): ObstacleGap[] {
  const blocks = listTankBlocks(tank);
  const gaps = listTankHinders(design).map((obstacle) => {
    const other = toBlock(obstacle);
    return { obstacle, gapMm: Math.min(...blocks.map((block) => measureBlockGap(block, other))) };
  });
  const own = toTankBlock(tank);
  const through = design.obstacles.flatMap((obstacle): ObstacleGap[] => {
    const gapMm = measureThroughSides(own, obstacle);
    return gapMm === null ? [] : [{ obstacle, gapMm, within: "side" }];
  });
  // of her skin the nearest place on either side speaks for it
  const skins = new Map<string, ObstacleGap>();
  for (const gap of gaps) {
    if (!isOfSkin(gap.obstacle)) continue;
    const before = skins.get(gap.obstacle.name);
    if (!before || gap.gapMm < before.gapMm) skins.set(gap.obstacle.name, gap);
  }
  return [...gaps.filter(({ obstacle }) => !isOfSkin(obstacle)), ...skins.values(), ...through];
}

/** Gap from the outside of one leg of pipe to every obstacle, mm [C]. */
export const measureLegGaps = (design: Surroundings, path: DrainPath, legIndex: number): readonly ObstacleGap[] =>
  measureGapsOf(design, path.legs[legIndex]!);

/** The same for a leg of any line; a hose is soft, and led out of the side of a cabinet by hand. */
export function measureGapsOf(design: Surroundings, leg: Leg, isHose = false): readonly ObstacleGap[] {
  return recallGaps(leg.from, [leg, design.obstacles, design.rules], () => {
    const { from, to } = toAxis(leg);
    const mostTimes = isHose ? Infinity : lookUpValue(design.rules, "holeSlant");
    return design.obstacles.flatMap((obstacle): ObstacleGap[] => {
      if (hindersPipes(obstacle.kind)) {
        return [{ obstacle, gapMm: measureLegGap(from, to, toBlock(obstacle)) - leg.outsideMm / 2 }];
      }
      const gapMm = measureAlongSides(leg, obstacle, mostTimes);
      return gapMm === null ? [] : [{ obstacle, gapMm, within: obstacle.kind === "cabinet" ? "side" : "wall" }];
    });
  });
}

const recallGaps = createRecall<Vec3, readonly ObstacleGap[]>();

/** The lowest of a tank: its outside, or a valve, bend or hose tail that stands before a port, mm [C]. */
export const measureLowestZMm = (tank: Tank): number =>
  Math.min(
    toTankBlock(tank).min.z,
    ...tank.ports.flatMap((port) => {
      const block = findFittingBlock(tank, port);
      return block ? [block.min.z] : [];
    }),
  );

/** How far a tank reaches over the sill line, mm; negative is below it. Null where the rig has none. */
export function measureSillGapMm(design: Surroundings, tank: Tank): number | null {
  const { sillZMm } = design.rig;
  return sillZMm === null ? null : measureLowestZMm(tank) - sillZMm;
}
