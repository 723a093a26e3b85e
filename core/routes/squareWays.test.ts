import "../evaluate/fitted";
import fc from "fast-check";
import { ALL_DEMOS } from "@/tests/demoRigs";
import type { Hose, Vent } from "../design/plumbing";
import { isCourseClear } from "../fit/clearCourse";
import { listTankBlocks } from "../fit/tankBlocks";
import { measureLegGap } from "../geometry/blocks";
import { measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { listSquareWays } from "./squareWays";

const AXES = ["x", "y", "z"] as const;

const isSoft = (line: { readonly kind: string }): line is Hose | Vent => line.kind === "hose" || line.kind === "vent";

/** A hose or a breather of a sample, and two places of its rig. */
const tasks = fc
  .record({
    design: fc.constantFrom(...ALL_DEMOS.filter(({ lines }) => lines.some(isSoft))),
    which: fc.nat(),
    shares: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }),
  })
  .map(({ design, which, shares }) => {
    const lines = design.lines.filter(isSoft);
    const place = ([x, y, z]: readonly number[]): Vec3 =>
      vec(
        Math.round(x! * design.rig.lengthMm),
        Math.round((y! - 0.5) * design.rig.widthMm),
        Math.round(-400 + z! * 1_000),
      );
    return { design, line: lines[which % lines.length]!, from: place(shares.slice(0, 3)), to: place(shares.slice(3)) };
  })
  .filter(({ from, to }) => measureLength(subtract(to, from)) > 50);

test("every way lies along the rig, across it or upright, and keeps clear of tanks and of what stands there", () => {
  let found = 0;
  fc.assert(
    fc.property(tasks, ({ design, line, from, to }) => {
      for (const way of listSquareWays(design, line, from, to, 6)) {
        found += 1;
        const course = [from, ...way, to];
        const pieces = course.slice(1).map((p, i) => subtract(p, course[i]!));
        for (const piece of pieces) expect(AXES.filter((axis) => piece[axis] !== 0)).toHaveLength(1);
        // two pieces one behind the other are one
        for (let i = 1; i < pieces.length; i++) {
          const turns = AXES.filter((axis) => pieces[i - 1]![axis] !== 0 && pieces[i]![axis] !== 0);
          expect(turns.every((axis) => Math.sign(pieces[i]![axis]) !== Math.sign(pieces[i - 1]![axis]))).toBe(true);
        }
        const lower = (p: Vec3) => ({ ...p, z: p.z - line.pipe.innerMm / 2 });
        expect(isCourseClear(design, course.map(lower), line.pipe)).toBe(true);
        const own =
          line.kind === "vent"
            ? [line.fromTank]
            : [line.from, line.to].map((end) => ("tankId" in end ? end.tankId : ""));
        for (const block of design.tanks.filter(({ id }) => !own.includes(id)).flatMap(listTankBlocks)) {
          for (let i = 1; i < course.length; i++) {
            expect(measureLegGap(course[i - 1]!, course[i]!, block)).toBeGreaterThanOrEqual(
              line.pipe.outerMm / 2 - 3 - 1e-6,
            );
          }
        }
      }
    }),
  );
  expect(found).toBeGreaterThan(50);
});

test("shorter ways with fewer bends stand first; where nothing is in the way none is longer than once along each axis", () => {
  fc.assert(
    fc.property(tasks, ({ design, line, from, to }) => {
      const costOf = (way: readonly Vec3[]) => {
        const course = [from, ...way, to];
        return (
          course.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, course[i]!)), 0) + 150 * way.length
        );
      };
      const ways = listSquareWays(design, line, from, to, 12);
      expect(new Set(ways.map((way) => JSON.stringify(way))).size).toBe(ways.length);
      const costs = ways.map(costOf);
      expect(costs).toEqual([...costs].sort((a, b) => a - b));
      const bare = { ...design, tanks: [], gear: [], obstacles: [], lines: [line] };
      const [first] = listSquareWays(bare, line, from, to, 1);
      const straight = AXES.reduce((sum, axis) => sum + Math.abs(from[axis] - to[axis]), 0);
      const bends = AXES.filter((axis) => from[axis] !== to[axis]).length - 1;
      expect(costOf(first!)).toBeCloseTo(straight + 150 * Math.max(0, bends), 6);
    }),
  );
});

test("past a block in the middle of the way it goes by the nearer face, as near as the rules let it", () => {
  const [kranich] = ALL_DEMOS;
  const line = kranich!.lines.find(isSoft)!;
  const block = {
    ...kranich!.obstacles[0]!,
    kind: "chassisRail" as const,
    atMm: vec(900, -100, -500),
    lengthMm: 200,
    widthMm: 400,
    heightMm: 1_000,
  };
  const design = { ...kranich!, tanks: [], gear: [], lines: [line], obstacles: [block] };
  const [way] = listSquareWays(design, line, vec(500, 0, 0), vec(1_500, 0, 0), 1);
  // 400 mm of it lie to the left of the middle line from -100 on: to the right it is nearer
  expect(way).toHaveLength(2);
  for (const p of way!) {
    expect(p.y).toBeLessThanOrEqual(-100 - line.pipe.outerMm / 2);
    expect(p.y).toBeGreaterThan(-100 - line.pipe.outerMm / 2 - 40);
  }
});
