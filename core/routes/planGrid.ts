import type { Block } from "../geometry/blocks";
import { type Vec3, vec } from "../geometry/vec";

/** The space under the floor seen from above, in square cells: where a pipe of some height and room may lie. */
export type PlanGrid = {
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly originMm: Vec3;
  readonly isBlocked: Uint8Array;
};

const CELL_MM = 60;

/** What is in the way: a block with the room a pipe's axis must keep from it. */
export type Hindrance = { readonly block: Block; readonly roomMm: number };

/** A grid over the floor of a rig; a cell is blocked where a hindrance reaches into the heights from low to high, mm. */
export function buildPlanGrid(
  size: { readonly lengthMm: number; readonly widthMm: number },
  hindrances: readonly Hindrance[],
  [lowMm, highMm]: readonly [number, number],
): PlanGrid {
  const columns = Math.max(1, Math.floor(size.lengthMm / CELL_MM));
  const rows = Math.max(1, Math.floor(size.widthMm / CELL_MM));
  const originMm = vec(CELL_MM / 2, -size.widthMm / 2 + CELL_MM / 2, 0);
  const isBlocked = new Uint8Array(columns * rows);
  for (const { block, roomMm } of hindrances) {
    if (block.max.z + roomMm <= lowMm || block.min.z - roomMm >= highMm) continue;
    const from = { x: toIndex(block.min.x - roomMm - originMm.x), y: toIndex(block.min.y - roomMm - originMm.y) };
    const to = { x: toIndex(block.max.x + roomMm - originMm.x), y: toIndex(block.max.y + roomMm - originMm.y) };
    for (let row = Math.max(0, from.y); row <= Math.min(rows - 1, to.y); row++) {
      isBlocked.fill(1, row * columns + Math.max(0, from.x), row * columns + Math.min(columns - 1, to.x) + 1);
    }
  }
  return { cellMm: CELL_MM, columns, rows, originMm, isBlocked };
}

const toIndex = (offsetMm: number): number => Math.round(offsetMm / CELL_MM);

export function findCell({ columns, rows, originMm }: PlanGrid, at: Vec3): number {
  const column = Math.min(columns - 1, Math.max(0, toIndex(at.x - originMm.x)));
  const row = Math.min(rows - 1, Math.max(0, toIndex(at.y - originMm.y)));
  return row * columns + column;
}

export const placeCell = ({ columns, originMm }: PlanGrid, cell: number): Vec3 =>
  vec(originMm.x + (cell % columns) * CELL_MM, originMm.y + Math.floor(cell / columns) * CELL_MM, 0);

const WAYS = [
  [1, 0],
  [1, 1],
  [0, 1],
  [-1, 1],
  [-1, 0],
  [-1, -1],
  [0, -1],
  [1, -1],
] as const;

const STEPS = WAYS.map(([dx, dy]) => ({ dx, dy, cells: Math.hypot(dx, dy) }));

/** How far it is from each cell to the goal over free cells, mm; infinite where none leads there. Source: Dijkstra [C]. */
export function measureToGo({ columns, rows, isBlocked, cellMm }: PlanGrid, goal: number): Float64Array {
  const toGo = new Float64Array(columns * rows).fill(Infinity);
  const heap = new Heap();
  toGo[goal] = 0;
  heap.push(goal, 0);
  const isDone = new Uint8Array(columns * rows);
  for (let cell = heap.pop(); cell !== null; cell = heap.pop()) {
    if (isDone[cell]) continue;
    isDone[cell] = 1;
    const [fromColumn, fromRow] = [cell % columns, Math.floor(cell / columns)];
    for (const { dx, dy, cells } of STEPS) {
      const [column, row] = [fromColumn + dx, fromRow + dy];
      if (column < 0 || column >= columns || row < 0 || row >= rows) continue;
      const other = row * columns + column;
      const total = toGo[cell]! + cells * cellMm;
      if (isBlocked[other] || total >= toGo[other]!) continue;
      toGo[other] = total;
      heap.push(other, total);
    }
  }
  return toGo;
}

/**
 * The cheapest way over free cells from any of the starts to the goal, as cells: its length, mm, a price a turn of 45°,
 * what some cells cost extra, and what it costs to begin at one. Null when there is none. Best first with what is at least to come, `measureToGo` [C].
 */
export function findWay(
  grid: PlanGrid,
  starts: readonly number[],
  goal: number,
  {
    turnMm,
    extraMm,
    toGoMm = measureToGo(grid, goal),
    startMm = () => 0,
  }: {
    readonly turnMm: number;
    readonly toGoMm?: Float64Array;
    readonly extraMm: (cell: number) => number;
    readonly startMm?: (cell: number) => number;
  },
): number[] | null {
  const { columns, rows, isBlocked, cellMm } = grid;
  const states = columns * rows * WAYS.length;
  const cost = new Float64Array(states).fill(Infinity);
  const from = new Int32Array(states).fill(-1);
  // a way into a cell that was gone on from stays the cheapest: what is to come never shrinks by more than a step
  const isDone = new Uint8Array(states);
  const heap = new Heap();
  for (const start of starts) {
    if (toGoMm[start] === Infinity) continue;
    const price = startMm(start);
    for (let way = 0; way < WAYS.length; way++) {
      cost[start * WAYS.length + way] = price;
      heap.push(start * WAYS.length + way, price + toGoMm[start]!);
    }
  }
  for (let state = heap.pop(); state !== null; state = heap.pop()) {
    if (isDone[state]) continue;
    isDone[state] = 1;
    const cell = Math.floor(state / WAYS.length);
    if (cell === goal) return unwind(from, state);
    const way = state % WAYS.length;
    const [fromColumn, fromRow] = [cell % columns, Math.floor(cell / columns)];
    for (let next = 0; next < WAYS.length; next++) {
      const turn = Math.min((next - way + 8) % 8, (way - next + 8) % 8);
      // a pipe turns by 45° or by 90°, no further
      if (turn > 2) continue;
      const { dx, dy, cells } = STEPS[next]!;
      const column = fromColumn + dx;
      const row = fromRow + dy;
      if (column < 0 || column >= columns || row < 0 || row >= rows) continue;
      const other = row * columns + column;
      if (isBlocked[other] && other !== goal) continue;
      const step = cells * cellMm + turn * turnMm + extraMm(other);
      const place = other * WAYS.length + next;
      const total = cost[state]! + step;
      if (total >= cost[place]!) continue;
      cost[place] = total;
      from[place] = state;
      heap.push(place, total + toGoMm[other]!);
    }
  }
  return null;
}

function unwind(from: Int32Array, last: number): number[] {
  const cells: number[] = [];
  for (let state = last; state >= 0; state = from[state]!) cells.unshift(Math.floor(state / WAYS.length));
  return cells;
}

// The smallest key first.
class Heap {
  readonly #items: number[] = [];
  readonly #keys: number[] = [];

  push(item: number, key: number): void {
    const [items, keys] = [this.#items, this.#keys];
    let at = items.length;
    items.push(item);
    keys.push(key);
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (keys[parent]! <= key) break;
      items[at] = items[parent]!;
      keys[at] = keys[parent]!;
      at = parent;
    }
    items[at] = item;
    keys[at] = key;
  }

  pop(): number | null {
    const [items, keys] = [this.#items, this.#keys];
    const top = items[0];
    if (top === undefined) return null;
    const item = items.pop()!;
    const key = keys.pop()!;
    if (items.length === 0) return top;
    let at = 0;
    for (;;) {
      let child = 2 * at + 1;
      if (child >= items.length) break;
      if (child + 1 < items.length && keys[child + 1]! < keys[child]!) child += 1;
      if (keys[child]! >= key) break;
      items[at] = items[child]!;
      keys[at] = keys[child]!;
      at = child;
    }
    items[at] = item;
    keys[at] = key;
    return top;
  }
}
