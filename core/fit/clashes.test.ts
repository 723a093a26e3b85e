import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import type { Tank } from "../design/plumbing";
import { buildLeg, type Leg } from "../falls/drainPath";
import { areApart, type Block } from "../geometry/blocks";
import { interpolate, measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { findLegRoom, goesThroughOwn, measureLegClash, measureLegIn, measureTankClash, toAxis } from "./clashes";
import { toTankBlock } from "./obstacleGaps";

const pipe = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
const lay = (from: Vec3, to: Vec3, outerMm = pipe.outerMm): Leg =>
  buildLeg(from, to, {
    lineId: "l",
    index: 0,
    pipe: { ...pipe, outerMm, innerMm: outerMm - 4 },
    inflowLps: 0,
    surgeLps: 0,
  });
const spot = (size: number) =>
  fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: -size, max: size }))).map(([x, y, z]) => vec(x!, y!, z!));
const legs = fc
  .record({ from: spot(400), to: spot(400), outerMm: fc.integer({ min: 12, max: 110 }) })
  .map(({ from, to, outerMm }) => lay(from, to, outerMm));
const blocks: fc.Arbitrary<Block> = fc
  .record({
    min: spot(300),
    x: fc.integer({ min: 1, max: 400 }),
    y: fc.integer({ min: 1, max: 400 }),
    z: fc.integer({ min: 1, max: 400 }),
  })
  .map(({ min, x, y, z }) => ({ min, max: vec(min.x + x, min.y + y, min.z + z) }));
/** Places along the middle of a pipe, close to each other. */
const listAlong = (leg: Leg, steps = 80): Vec3[] => {
  const { from, to } = toAxis(leg);
  return Array.from({ length: steps + 1 }, (_, i) => interpolate(from, to, i / steps));
};
const measureOut = (p: Vec3, { min, max }: Block): number => {
  const out = (v: number, low: number, high: number) => Math.max(0, low - v, v - high);
  return Math.hypot(out(p.x, min.x, max.x), out(p.y, min.y, max.y), out(p.z, min.z, max.z));
};

test("any leg reaches as deep into a block as the nearest place of its middle says, and never out of the room it takes", () => {
  fc.assert(
    fc.property(legs, blocks, (leg, block) => {
      const half = leg.pipe.outerMm / 2;
      const nearest = Math.min(...listAlong(leg).map((p) => measureOut(p, block)));
      const deep = measureLegIn(leg, block);
      const step = leg.lengthMm / 80;
      expect(deep).toBeGreaterThanOrEqual(half - nearest - 1e-6);
      if (nearest < 400) expect(deep).toBeLessThanOrEqual(half - nearest + step + 1e-6);
      if (deep > 0) expect(areApart(findLegRoom(leg), block)).toBe(false);
      const { min, max } = findLegRoom(leg);
      for (const p of listAlong(leg, 8)) {
        for (const axis of ["x", "y", "z"] as const) {
          expect(p[axis] - half).toBeGreaterThanOrEqual(min[axis] - 1e-6);
          expect(p[axis] + half).toBeLessThanOrEqual(max[axis] + 1e-6);
        }
      }
    }),
    { numRuns: 200 },
  );
});

test("blocks are apart when a plane lies between them, whichever way round; sides that touch are apart", () => {
  const at = (x: number, y: number, z: number): Block => ({ min: vec(x, y, z), max: vec(x + 10, y + 10, z + 10) });
  expect(areApart(at(0, 0, 0), at(9, 9, 9))).toBe(false);
  for (const [x, y, z] of [
    [10, 0, 0],
    [-10, 0, 0],
    [0, 10, 0],
    [0, -10, 0],
    [0, 0, 10],
    [0, 0, -10],
  ] as const) {
    expect(areApart(at(0, 0, 0), at(x, y, z))).toBe(true);
    expect(areApart(at(0, 0, 0), at(x * 0.9, y * 0.9, z * 0.9))).toBe(false);
  }
});

test("two pipes reach as deep into each other as their middles are near; what lies in a fitting's body counts for nothing", () => {
  fc.assert(
    fc.property(legs, legs, fc.option(fc.integer({ min: 0, max: 10 }), { nil: null }), (one, other, share) => {
      const joint = share === null ? null : interpolate(one.from, one.to, share / 10);
      const left = listAlong(one).filter((p) => {
        const invert = vec(p.x, p.y, p.z);
        return joint === null || measureLength(subtract(invert, joint)) > 3 * one.pipe.outerMm;
      });
      const deep = measureLegClash(one, other, joint ? [joint] : []);
      if (left.length === 0) return;
      const nearest = Math.min(...left.flatMap((p) => listAlong(other).map((q) => measureLength(subtract(p, q)))));
      const both = (one.pipe.outerMm + other.pipe.outerMm) / 2;
      const step = (one.lengthMm + other.lengthMm) / 80;
      expect(deep).toBeGreaterThanOrEqual(both - nearest - 1e-6);
      expect(deep).toBeLessThanOrEqual(both - nearest + 2 * step + 1e-6);
    }),
    { numRuns: 150 },
  );
});

// Worked by hand: pipes of 40 mm, one over the other with their middles 30 mm apart, share 10 mm.
test("pipes that cross, run side by side, and meet at a joint", () => {
  const along = lay(vec(-500, 0, 0), vec(500, 0, 0));
  const across = lay(vec(0, -500, 30), vec(0, 500, 30));
  expect(measureLegClash(along, across, [])).toBeCloseTo(10, 6);
  expect(measureLegClash(along, lay(vec(-500, 45, 0), vec(500, 45, 0)), [])).toBeCloseTo(-5, 6);
  // cut away 120 mm on both sides of the crossing, what is left passes 10 mm lower and far off
  expect(measureLegClash(along, across, [vec(0, 0, 18)])).toBeCloseTo(40 - Math.hypot(120, 30), 1);
  // a leg that lies within the fitting altogether meets nothing
  expect(measureLegClash(lay(vec(-40, 0, 0), vec(40, 0, 0)), across, [vec(0, 0, 0)])).toBe(-Infinity);
  const still = lay(vec(0, 0, 0), vec(0, 0, 0));
  expect(measureLegClash(still, across, [])).toBeCloseTo(10, 6);
  expect(measureLegClash(still, across, [vec(0, 0, 0)])).toBe(-Infinity);
});

const tank: Tank = { ...readDemo("kranich").tanks[0]!, atMm: vec(0, 0, 0), wallMm: 6, insulationMm: 0 };
const { min, max } = toTankBlock(tank);

test("a line that is joined to a tank may lie along its side, and is told once its middle is past wall and its own half", () => {
  const mid = (max.x + min.x) / 2;
  const along = (z: number) => lay(vec(mid, min.y - 200, z - 18), vec(mid, max.y + 200, z - 18));
  // wall 6, half a pipe 20, and 3 that give way
  expect(goesThroughOwn(along(max.z - 28), tank)).toBe(false);
  expect(goesThroughOwn(along(max.z - 30), tank)).toBe(true);
  expect(goesThroughOwn(along(max.z + 30), tank)).toBe(false);
  const lagged = { ...tank, insulationMm: 20 };
  expect(goesThroughOwn(along(max.z - 28), lagged)).toBe(false);
  // a tank thinner than that has no inside to go through
  const thin: Tank = { ...tank, solid: { shape: "box", lengthMm: 800, widthMm: 450, heightMm: 40 } };
  expect(goesThroughOwn(lay(vec(mid, min.y - 200, 0), vec(mid, max.y + 200, 0)), thin)).toBe(false);
});

test("tanks beside each other have as much between them as their blocks, wall and lagging counted", () => {
  fc.assert(
    fc.property(spot(900), fc.integer({ min: 0, max: 40 }), (at, insulationMm) => {
      const other: Tank = { ...tank, atMm: at, insulationMm };
      const block = toTankBlock(other);
      const apart = ["x", "y", "z"].map((axis) => {
        const a = axis as "x" | "y" | "z";
        return Math.max(min[a] - block.max[a], block.min[a] - max[a]);
      });
      const most = Math.max(...apart);
      const expected = most > 0 ? -Math.hypot(...apart.map((gap) => Math.max(0, gap))) : -most;
      expect(measureTankClash(tank, other)).toBeCloseTo(expected, 6);
      expect(measureTankClash(other, tank)).toBeCloseTo(expected, 6);
    }),
  );
});
