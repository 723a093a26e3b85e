import fc from "fast-check";
import { vec } from "../geometry/vec";
import { buildPlanGrid, findCell, findWay, type Hindrance, type PlanGrid, placeCell } from "./planGrid";

const SIZE = { lengthMm: 900, widthMm: 780 };
const free = { turnMm: 0, extraMm: () => 0 };

const hindrances: fc.Arbitrary<Hindrance[]> = fc.array(
  fc
    .record({
      x: fc.integer({ min: 0, max: 800 }),
      y: fc.integer({ min: -390, max: 300 }),
      lengthMm: fc.integer({ min: 20, max: 300 }),
      widthMm: fc.integer({ min: 20, max: 300 }),
      z: fc.integer({ min: -400, max: 0 }),
    })
    .map(({ x, y, lengthMm, widthMm, z }) => ({
      block: { min: vec(x, y, z), max: vec(x + lengthMm, y + widthMm, z + 120) },
      roomMm: 20,
    })),
  { maxLength: 6 },
);

const steps = (grid: PlanGrid, cells: readonly number[]) =>
  cells.slice(1).map((cell, i) => {
    const before = cells[i]!;
    const dx = (cell % grid.columns) - (before % grid.columns);
    const dy = Math.floor(cell / grid.columns) - Math.floor(before / grid.columns);
    return { dx, dy };
  });

const measure = (grid: PlanGrid, cells: readonly number[]): number =>
  steps(grid, cells).reduce((sum, { dx, dy }) => sum + Math.hypot(dx, dy) * grid.cellMm, 0);

// The plainest way to the same answer: every cell looked at again until nothing gets shorter. Turns are left out.
function measureShortest(grid: PlanGrid, start: number, goal: number): number {
  const cost = new Array<number>(grid.columns * grid.rows).fill(Infinity);
  cost[start] = 0;
  for (let isBetter = true; isBetter; ) {
    isBetter = false;
    for (let cell = 0; cell < cost.length; cell++) {
      if (!Number.isFinite(cost[cell]!)) continue;
      for (let dx = -1; dx <= 1; dx++) {
        for (let dy = -1; dy <= 1; dy++) {
          const [column, row] = [(cell % grid.columns) + dx, Math.floor(cell / grid.columns) + dy];
          if (column < 0 || row < 0 || column >= grid.columns || row >= grid.rows) continue;
          const other = row * grid.columns + column;
          if (grid.isBlocked[other] && other !== goal) continue;
          const total = cost[cell]! + Math.hypot(dx, dy) * grid.cellMm;
          if (total >= cost[other]! - 1e-9) continue;
          cost[other] = total;
          isBetter = true;
        }
      }
    }
  }
  return cost[goal]!;
}

test("a way goes over free cells, neighbour to neighbour, and turns by 90° at most", () => {
  fc.assert(
    fc.property(hindrances, fc.nat(), fc.nat(), fc.integer({ min: 0, max: 500 }), (blocks, a, b, turnMm) => {
      const grid = buildPlanGrid(SIZE, blocks, [-300, -100]);
      const cells = grid.columns * grid.rows;
      const [start, goal] = [a % cells, b % cells];
      const way = findWay(grid, [start], goal, { turnMm, extraMm: () => 0 });
      if (!way) return;
      expect(way[0]).toBe(start);
      expect(way.at(-1)).toBe(goal);
      for (const cell of way.slice(1, -1)) expect(grid.isBlocked[cell]).toBe(0);
      const taken = steps(grid, way);
      for (const { dx, dy } of taken) expect(Math.max(Math.abs(dx), Math.abs(dy))).toBe(1);
      taken.slice(1).forEach(({ dx, dy }, i) => {
        expect(dx * taken[i]!.dx + dy * taken[i]!.dy).toBeGreaterThanOrEqual(0);
      });
    }),
  );
});

test("without a price on turns nothing is shorter, found by the plainest search", () => {
  fc.assert(
    fc.property(hindrances, fc.nat(), fc.nat(), (blocks, a, b) => {
      const grid = buildPlanGrid(SIZE, blocks, [-300, -100]);
      const cells = grid.columns * grid.rows;
      const [start, goal] = [a % cells, b % cells];
      const way = findWay(grid, [start], goal, free);
      const shortest = measureShortest(grid, start, goal);
      if (way) expect(measure(grid, way)).toBeGreaterThanOrEqual(shortest - 1e-6);
      if (blocks.length === 0) expect(measure(grid, way!)).toBeCloseTo(shortest, 6);
    }),
    { numRuns: 60 },
  );
});

test("a dearer turn never gives a way with more of them", () => {
  const wall = { block: { min: vec(400, -390, -300), max: vec(460, 150, 0) }, roomMm: 20 };
  const grid = buildPlanGrid(SIZE, [wall], [-300, -100]);
  const [start, goal] = [findCell(grid, vec(120, -300, 0)), findCell(grid, vec(780, -300, 0))];
  const turnsAt = (turnMm: number) => {
    const taken = steps(grid, findWay(grid, [start], goal, { turnMm, extraMm: () => 0 })!);
    return taken.slice(1).filter(({ dx, dy }, i) => dx !== taken[i]!.dx || dy !== taken[i]!.dy).length;
  };
  expect(turnsAt(1000)).toBeLessThanOrEqual(turnsAt(0));
});

test("what lies above or below the pipe is not in its way", () => {
  const block = { min: vec(300, -390, -600), max: vec(400, 390, -400) };
  const over = buildPlanGrid(SIZE, [{ block, roomMm: 30 }], [-300, -100]);
  expect(over.isBlocked.some(Boolean)).toBe(false);
  const through = buildPlanGrid(SIZE, [{ block, roomMm: 30 }], [-420, -100]);
  expect(through.isBlocked.some(Boolean)).toBe(true);
  expect(findWay(through, [findCell(through, vec(100, 0, 0))], findCell(through, vec(800, 0, 0)), free)).toBeNull();
});

test("a cell is found again by the place it stands for", () => {
  const grid = buildPlanGrid(SIZE, [], [0, 1]);
  for (let cell = 0; cell < grid.columns * grid.rows; cell++) expect(findCell(grid, placeCell(grid, cell))).toBe(cell);
});
