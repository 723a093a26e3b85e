import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import { buildAddTank } from "../edits/tankEdits";
import { toBlock } from "../fit/obstacleBlock";
import { listTankBlocks } from "../fit/tankBlocks";
import { listTankHinders } from "../fit/tankHinders";
import { type PrismSolid, placeOnAxis } from "../geometry/solid";
import { type Vec3, vec } from "../geometry/vec";
import { lookUpValue } from "../rules/lookUpLimit";
import { findSteppedTanks } from "./steppedTanks";
import {
  CELL_MM,
  FITTINGS_MM,
  type Found,
  LEAST,
  listTaken,
  MOST_HEIGHT_MM,
  ROOM_MM,
  type Taken,
  type TankPlace,
  WALL_MM,
} from "./tankPlaces";

const HEIGHT_STEP_MM = 20;
/** How far below the floor its top may hang, mm; lower leaves drains more fall. */
const BELOW_MM = [140, 80, ROOM_MM] as const;
const MOST_PLACES = 5;
/** At each height and depth so many places are looked for, none in the room of another: both sides of a shaft. */
const ROOMS = 2;

/**
 * The largest tanks, boxes and ones with a step, that find room under the floor, clear of what is there by the rules, above the sill line and with
 * room for fittings at one end; most litres first, none within another. For each height and depth the largest free
 * rectangle in plan on a grid of 25 mm, so at most that much is given away on each side. `onStep` is told the share that
 * is done; false stops. Source: largest rectangle in a histogram, row by row [C]; rooms for fittings and walls [T].
 */
export function findLargestTanks(
  design: Design,
  {
    aim = ANYWHERE,
    onStep = () => true,
  }: { readonly aim?: TankAim; readonly onStep?: (share: number) => boolean } = {},
): TankPlace[] | null {
  const bounds = aim.between ? measureBetween(design, aim.between) : EVERYWHERE;
  if (!bounds) return [];
  const top = -measureFloorMm(design);
  const lowest = design.rig.sillZMm ?? design.rig.groundZMm + 150;
  const taken = listTaken(design);
  const heights: number[] = [];
  for (let h = LEAST.heightMm; h <= Math.min(MOST_HEIGHT_MM, top - lowest); h += HEIGHT_STEP_MM) heights.push(h);
  const found: Found[] = [];
  for (const [i, heightMm] of heights.entries()) {
    for (const belowMm of BELOW_MM) {
      const z = top - belowMm - WALL_MM - heightMm;
      if (z - WALL_MM < lowest + lookUpValue(design.rules, "sillGap")) continue;
      found.push(...findAt(design, { taken, z, heightMm, bounds, most: aim.most }));
    }
    if (!onStep((i + 1) / (heights.length + 1))) return null;
  }
  const boxes = pickDistinct(found, aim.most);
  // a step buys litres, not length
  const stepped =
    aim.most === "length"
      ? []
      : findSteppedTanks(design, taken, { found, lowestMm: lowest + lookUpValue(design.rules, "sillGap") });
  if (!onStep(1)) return null;
  // a step is more work: it must be worth it
  const most = boxes[0]?.litres ?? 0;
  const worth = stepped.filter(({ litres }) => litres > most * WORTH_A_STEP);
  return pickDistinct([...boxes, ...worth.filter((place) => isWithin(place, bounds))], aim.most).map((place) => ({
    ...place,
    below: listBelow(design, place),
  }));
}

/** What is asked of a tank: most litres or the longest, anywhere or between two things that stand there. */
export type TankAim = {
  readonly most: "litres" | "length";
  /** Ids of two obstacles; the room between them along the way they are further apart. Null for the whole floor. */
  readonly between: readonly [string, string] | null;
};

export const ANYWHERE: TankAim = { most: "litres", between: null };

type Bounds = { readonly x: readonly [number, number]; readonly y: readonly [number, number] };
const EVERYWHERE: Bounds = { x: [-Infinity, Infinity], y: [-Infinity, Infinity] };

/** The room between two obstacles in plan, along the way in which they are further apart; null where they overlap in both [C]. */
export function measureBetween(
  { obstacles }: Pick<Design, "obstacles">,
  ids: readonly [string, string],
): Bounds | null {
  const [a, b] = ids.map((id) => obstacles.find((obstacle) => obstacle.id === id));
  if (!a || !b) return null;
  const [p, q] = [toBlock(a), toBlock(b)];
  const gap = (axis: "x" | "y") => {
    const [low, high] = p.min[axis] <= q.min[axis] ? [p, q] : [q, p];
    return [low.max[axis], high.min[axis]] as const;
  };
  const [along, across] = [gap("x"), gap("y")];
  const [wideX, wideY] = [along[1] - along[0], across[1] - across[0]];
  if (Math.max(wideX, wideY) <= 0) return null;
  return wideX >= wideY ? { ...EVERYWHERE, x: along } : { ...EVERYWHERE, y: across };
}

const isWithin = ({ atMm, lengthMm, widthMm }: Found, { x, y }: Bounds): boolean =>
  atMm.x >= x[0] && atMm.x + lengthMm <= x[1] && atMm.y >= y[0] && atMm.y + widthMm <= y[1];

/** A stepped tank is shown where it holds so much more than the largest box. */
const WORTH_A_STEP = 1.05;

// A tank comes down straight where nothing lies under any part of it.
function listBelow(design: Design, { atMm, lengthMm, widthMm, heightMm, stepped }: Found): string[] {
  const solid = stepped
    ? { ...stepped, profileMm: [...stepped.profileMm] }
    : { shape: "box" as const, lengthMm, widthMm, heightMm };
  const blocks = listTankBlocks({ solid, atMm, wallMm: WALL_MM, insulationMm: 0 });
  return listTankHinders(design)
    .filter((obstacle) => {
      const { min, max } = toBlock(obstacle);
      return blocks.some(
        (part) =>
          max.z <= part.min.z + 1 &&
          max.x > part.min.x &&
          min.x < part.max.x &&
          max.y > part.min.y &&
          min.y < part.max.y,
      );
    })
    .map(({ name }) => name);
}

type Slab = {
  readonly taken: readonly Taken[];
  readonly z: number;
  readonly heightMm: number;
  readonly bounds: Bounds;
  readonly most: TankAim["most"];
};

function findAt(design: Design, { taken, z, heightMm, bounds, most }: Slab): Found[] {
  const { lengthMm, widthMm } = design.rig;
  const [columns, rows] = [Math.floor(lengthMm / CELL_MM), Math.floor(widthMm / CELL_MM)];
  const free = new Uint8Array(columns * rows).fill(1);
  for (const { block, roomMm } of taken) {
    const room = roomMm + WALL_MM;
    if (block.max.z + room <= z || block.min.z - room >= z + heightMm) continue;
    const x0 = Math.max(0, Math.floor((block.min.x - room) / CELL_MM));
    const x1 = Math.min(columns, Math.ceil((block.max.x + room) / CELL_MM));
    const y0 = Math.max(0, Math.floor((block.min.y - room + widthMm / 2) / CELL_MM));
    const y1 = Math.min(rows, Math.ceil((block.max.y + room + widthMm / 2) / CELL_MM));
    for (let row = y0; row < y1; row++) free.fill(0, row * columns + x0, row * columns + Math.max(x0, x1));
  }
  closeOutside(free, columns, rows, { bounds, widthMm });
  const found: Found[] = [];
  for (let room = 0; room < ROOMS; room++) {
    const best = findRectangle(free, columns, rows, most);
    if (!best) break;
    const place = {
      atMm: vec(best.column * CELL_MM + WALL_MM, best.row * CELL_MM - widthMm / 2 + WALL_MM, z),
      lengthMm: toInsideMm(best.columns) - FITTINGS_MM,
      widthMm: toInsideMm(best.rows),
      heightMm,
    };
    found.push({ ...place, litres: (place.lengthMm * place.widthMm * place.heightMm) / 1e6, stepped: null });
    // what is left beside it is a place of its own
    for (let row = best.row; row < best.row + best.rows; row++) {
      const from = row * columns + best.column;
      free.fill(0, from, from + best.columns);
    }
  }
  return found;
}

// What lies beyond the bounds is not free.
function closeOutside(
  free: Uint8Array,
  columns: number,
  rows: number,
  { bounds: { x, y }, widthMm }: { readonly bounds: Bounds; readonly widthMm: number },
): void {
  for (let row = 0; row < rows; row++) {
    const y0 = row * CELL_MM - widthMm / 2;
    const isOut = y0 < y[0] || y0 + CELL_MM > y[1];
    for (let column = 0; column < columns; column++) {
      const x0 = column * CELL_MM;
      if (isOut || x0 < x[0] || x0 + CELL_MM > x[1]) free[row * columns + column] = 0;
    }
  }
}

/** What a tank over so many cells is inside, from wall to wall, mm. */
const toInsideMm = (cells: number): number => cells * CELL_MM - 2 * WALL_MM;

type Rectangle = { readonly column: number; readonly row: number; readonly columns: number; readonly rows: number };

/** The free rectangle in which most goes, walls and fittings taken off; null where no tank has room. */
function findRectangle(free: Uint8Array, columns: number, rows: number, most: TankAim["most"]): Rectangle | null {
  const deep = new Int32Array(columns);
  let best: (Rectangle & { readonly worth: number }) | null = null;
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      deep[column] = free[row * columns + column] ? deep[column]! + 1 : 0;
    }
    const stack: number[] = [];
    for (let column = 0; column <= columns; column++) {
      const height = column < columns ? deep[column]! : 0;
      while (stack.length > 0 && deep[stack.at(-1)!]! >= height) {
        const tall = deep[stack.pop()!]!;
        const from = stack.length > 0 ? stack.at(-1)! + 1 : 0;
        const long = column - from;
        const lengthMm = toInsideMm(long) - FITTINGS_MM;
        const widthMm = toInsideMm(tall);
        // less than a tank can be is none, and of the longest the widest is taken
        if (lengthMm < LEAST.lengthMm || widthMm < LEAST.widthMm) continue;
        const worth = most === "litres" ? lengthMm * widthMm : lengthMm * rows * CELL_MM + widthMm;
        if (worth > (best?.worth ?? 0)) best = { column: from, row: row - tall + 1, columns: long, rows: tall, worth };
      }
      stack.push(column);
    }
  }
  return best;
}

// The most first; one that lies mostly where a better one lies is the same place.
function pickDistinct(places: readonly Found[], most: TankAim["most"]): Found[] {
  const kept: Found[] = [];
  const better = (a: Found, b: Found) =>
    most === "length" ? b.lengthMm - a.lengthMm || b.litres - a.litres : b.litres - a.litres;
  for (const place of [...places].sort(better)) {
    if (kept.length === MOST_PLACES) break;
    if (!kept.some((other) => isAlike(other, place))) kept.push(place);
  }
  return kept;
}

const isAlike = (a: Found, b: Found): boolean =>
  Math.abs(a.atMm.x - b.atMm.x) < 100 &&
  Math.abs(a.atMm.y - b.atMm.y) < 100 &&
  Math.abs(a.litres - b.litres) < 0.15 * a.litres;

/** Edit that hangs a grey tank in a place that was found. */
export function buildTankAt(design: Design, place: TankPlace, name: string): Edit {
  const { atMm, lengthMm, widthMm, heightMm, stepped } = place;
  const edit = buildAddTank(design, "grey", name);
  return {
    ...edit,
    ops: edit.ops.map((op) => {
      if (op.op !== "insert") return op;
      const tank = op.value as { readonly ports: readonly { readonly kind: string; readonly boreMm: number }[] };
      const ports = tank.ports.map((port) => ({
        ...port,
        atMm: stepped
          ? placePort(stepped, port.kind === "outlet", port.boreMm)
          : port.kind === "outlet"
            ? { x: 0, y: widthMm / 2, z: 0 }
            : { x: lengthMm, y: widthMm / 2, z: heightMm - port.boreMm },
      }));
      const solid = stepped ?? { shape: "box", lengthMm, widthMm, heightMm };
      return { ...op, value: { ...tank, atMm, solid, ports } };
    }),
  };
}

// In the ends of a stepped tank, over the middle of its deepest part: the outlet at its bottom, the inlet under its top.
function placePort({ axis, lengthMm, profileMm }: PrismSolid, isOutlet: boolean, boreMm: number): Vec3 {
  const deep = profileMm.filter(({ v }) => v === 0).map(({ u }) => u);
  const middle = (Math.min(...deep) + Math.max(...deep)) / 2;
  const top = Math.max(...profileMm.map(({ v }) => v));
  return placeOnAxis(axis, { u: middle, v: isOutlet ? 0 : top - boreMm }, isOutlet ? 0 : lengthMm);
}
