import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { toBlock } from "../fit/obstacleBlock";
import { findClearance, toTankBlock } from "../fit/obstacleGaps";
import { hindersPipes } from "../fit/roles";
import { add, type Vec3 } from "../geometry/vec";
import { findPipedCells } from "./pipedCells";
import { buildPlanGrid, findCell, findWay, type Hindrance, measureToGo, type PlanGrid, placeCell } from "./planGrid";
import { findFacing, findUndersideMm, type Task } from "./routeEnds";

/** From the outlet to where the pipe goes down, mm. */
const REACH_MM = 380;
/** A drop this near to the outlet is beneath the fixture, mm; each millimetre further aside counts as so much pipe. */
const BENEATH_MM = 200;
const ASIDE_PRICE = 2;
/** A water trap whose outlet plunges nearer than this sucks itself dry, and no breather finds room before the drop, mm [T]. */
const RUN_MM = 180;
/** What such a plunge is worth avoiding, mm of pipe [T]. */
const PLUNGE_PRICE_MM = 400;
/** Kept between a pipe and a tank it passes, mm [T]. */
const TANK_ROOM_MM = 10;
/** A turn of 45° counts as so much pipe, mm; a second look puts it dearer. */
const TURN_PRICES = [150, 700] as const;
const TRODDEN_MM = 400;
/** A cell in which it would meet another pipe counts as so much pipe, mm: it may pass over or under it, or not at all. */
const PIPED_PRICE_MM = 300;

/**
 * A way in plan: from where the pipe is under the floor to the inlet. Heights are still to come: low, they are laid from
 * the inlet upward; high, the pipe keeps right under the floor and drops before the inlet, over what is in the way lower.
 */
export type Plan = {
  readonly points: readonly Vec3[];
  readonly isHigh: boolean;
  /** Height under the floor within which its way is known to be free, mm; a low one is laid from the inlet upward. */
  readonly bandMm: number;
};

/** A pipe that keeps right under the floor falls by no more than this on its way, mm: a long one, and a short one. */
const HIGH_BANDS_MM = [90, 30] as const;

export function listPlans(task: Task): Plan[] {
  const { end, design, drain } = task;
  const topMm = findUndersideMm(design, drain);
  const low = lookForWays(task, [Math.min(end.atMm.z, topMm), Math.max(end.atMm.z, topMm)]);
  const plans = low.map((points): Plan => ({ points, isHigh: false, bandMm: Infinity }));
  if (end.kind !== "inlet") return plans;
  for (const bandMm of HIGH_BANDS_MM) {
    if (end.atMm.z > topMm - bandMm) continue;
    const high = lookForWays(task, [topMm - bandMm, topMm]);
    plans.push(...high.map((points) => ({ points, isHigh: true, bandMm })));
    // the narrow one only where the wide one is barred
    if (high.length > 0) break;
  }
  return plans;
}

function lookForWays(
  { design, drain, fixture, end }: Task,
  [lowMm, highMm]: readonly [number, number],
  without: string | null = null,
): Vec3[][] {
  const inletMm = end.atMm;
  const axisMm = drain.pipe.innerMm / 2;
  const facing = end.kind === "inlet" ? findFacing(end.tank, end.port) : null;
  // into the top of a tank the way leads over the tank itself
  const openTank = end.kind === "inlet" && !facing ? end.tank.id : null;
  const heights = [lowMm + axisMm, highMm + axisMm] as const;
  const grid = buildPlanGrid(design.rig, listHindrances(design, drain, openTank, without), heights);
  const isPiped = findPipedCells(grid, design, drain, heights);
  const beforeMm = facing ? add(inletMm, facing) : inletMm;
  const goal = findCell(grid, beforeMm);
  const starts = listStarts(grid, fixture.outletMm);
  const sucks = (findTrap(drain)?.sealMm ?? 0) > 0;
  const startMm = (cell: number) => {
    const at = placeCell(grid, cell);
    const asideMm = Math.hypot(at.x - fixture.outletMm.x, at.y - fixture.outletMm.y);
    const plungeMm = sucks && asideMm < RUN_MM ? PLUNGE_PRICE_MM : 0;
    return ASIDE_PRICE * Math.max(0, asideMm - BENEATH_MM) + plungeMm + (isPiped[cell] ? PIPED_PRICE_MM : 0);
  };
  const toGoMm = measureToGo(grid, goal);
  const ways: Vec3[][] = [];
  const trodden = new Set<number>();
  for (const turnMm of [...TURN_PRICES, TURN_PRICES[0]]) {
    const extraMm = (cell: number) => (trodden.has(cell) ? TRODDEN_MM : 0) + (isPiped[cell] ? PIPED_PRICE_MM : 0);
    const cells = findWay(grid, starts, goal, { turnMm, extraMm, toGoMm, startMm });
    if (!cells) return ways;
    for (const cell of cells.slice(0, -2)) trodden.add(cell);
    const corners = pickCorners(grid, cells).map((cell) => placeCell(grid, cell));
    // the last cell stands for the point before the inlet
    ways.push([...corners.slice(0, -1), ...(facing ? [beforeMm] : []), inletMm]);
  }
  return ways;
}

/** Things any one of which, taken away, would open a way in plan: what bars it. */
export function listBars(task: Task): string[] {
  const { design, drain, end } = task;
  const topMm = findUndersideMm(design, drain);
  const heights = [Math.min(end.atMm.z, topMm), Math.max(end.atMm.z, topMm)] as const;
  return design.obstacles
    .filter(({ kind }) => hindersPipes(kind))
    .filter(({ id }) => lookForWays(task, heights, id).length > 0)
    .map(({ id }) => id);
}

function listHindrances(
  design: Design,
  { pipe, insulationMm = 0 }: Drain,
  openTank: string | null,
  without: string | null,
): Hindrance[] {
  const radius = pipe.outerMm / 2 + insulationMm;
  return [
    ...design.obstacles
      .filter(({ kind, id }) => hindersPipes(kind) && id !== without)
      .map((obstacle) => ({
        block: toBlock(obstacle),
        roomMm: radius + (findClearance(design.rules, obstacle).value ?? 0),
      })),
    ...design.tanks
      .filter((tank) => tank.id !== openTank)
      .map((tank) => ({ block: toTankBlock(tank), roomMm: radius + TANK_ROOM_MM })),
  ];
}

function listStarts(grid: PlanGrid, outletMm: Vec3): number[] {
  const centre = findCell(grid, outletMm);
  const reach = Math.ceil(REACH_MM / grid.cellMm);
  const starts: number[] = [];
  for (let dy = -reach; dy <= reach; dy++) {
    for (let dx = -reach; dx <= reach; dx++) {
      const column = (centre % grid.columns) + dx;
      const row = Math.floor(centre / grid.columns) + dy;
      if (column < 0 || column >= grid.columns || row < 0 || row >= grid.rows) continue;
      const cell = row * grid.columns + column;
      if (!grid.isBlocked[cell] && Math.hypot(dx, dy) * grid.cellMm <= REACH_MM) starts.push(cell);
    }
  }
  return starts;
}

function pickCorners(grid: PlanGrid, cells: readonly number[]): number[] {
  return cells.filter((cell, i) => {
    const [before, after] = [cells[i - 1], cells[i + 1]];
    return before === undefined || after === undefined || cell - before !== after - cell || grid.columns === 1;
  });
}
