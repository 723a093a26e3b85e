import type { Design } from "../design/design";
import { toBlock } from "../fit/obstacleBlock";
import { findClearance, toTankBlock } from "../fit/obstacleGaps";
import { listTankHinders } from "../fit/tankHinders";
import type { Block } from "../geometry/blocks";
import type { PrismSolid } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";

/** A tank that fits under the floor where it is. */
export type TankPlace = {
  /** Lowest, rearmost, rightmost corner of its inside, and its inside, mm. */
  readonly atMm: Vec3;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly litres: number;
  /** Its profile where it is stepped; null for a box. */
  readonly stepped: PrismSolid | null;
  /** What lies below it and must come off before it can be dropped straight down. */
  readonly below: readonly string[];
};

/** A place before what lies below it is looked at. */
export type Found = Omit<TankPlace, "below">;

/** Cells of the grid on which room is looked for, walls of the tank to be, both mm. */
export const CELL_MM = 25;
export const WALL_MM = 6;
/** Kept to another tank and to the floor, mm [T]. */
export const ROOM_MM = 20;
/** Elbows, valve and hose tails at one end, mm [T: 60 to 120 at each]. */
export const FITTINGS_MM = 100;
export const LEAST = { lengthMm: 200, widthMm: 150, heightMm: 80 } as const;
export const MOST_HEIGHT_MM = 500;

export type Taken = { readonly block: Block; readonly roomMm: number };

/** What is in the way of a tank, with the room the rules ask around it. */
export const listTaken = (design: Design): Taken[] => [
  ...listTankHinders(design).map((o) => ({ block: toBlock(o), roomMm: findClearance(design.rules, o).value ?? 0 })),
  ...design.tanks.map((tank) => ({ block: toTankBlock(tank), roomMm: ROOM_MM })),
];
