import fc from "fast-check";
import { degToRad } from "../quantity/convert";
import { computeFloorHole, computeWallHole } from "./holeSize";

const d = fc.integer({ min: 10, max: 120 });
const t = fc.integer({ min: 1, max: 150 });
const degrees = fc.integer({ min: 2, max: 88 });

test("40 mm pipe through 40 mm of floor at 45°: 96.6 mm", () => {
  expect(computeFloorHole(40, degToRad(45), 40).lengthMm).toBeCloseTo(96.57, 2);
});

test("straight down it is the pipe and what is to spare; level through a wall likewise", () => {
  expect(computeFloorHole(40, Math.PI / 2, 60, 3).lengthMm).toBeCloseTo(46, 9);
  expect(computeWallHole(40, 0, 60, 3)).toEqual({ lengthMm: 46, widthMm: 46 });
});

test("the flatter the pipe the longer the hole, and never shorter than it is wide", () => {
  fc.assert(
    fc.property(d, t, degrees, (outer, thick, angle) => {
      const hole = computeFloorHole(outer, degToRad(angle), thick, 2);
      expect(hole.lengthMm).toBeGreaterThan(hole.widthMm);
      expect(computeFloorHole(outer, degToRad(angle - 1), thick, 2).lengthMm).toBeGreaterThan(hole.lengthMm);
      expect(Number.isFinite(computeFloorHole(outer, 0, thick).lengthMm)).toBe(true);
    }),
  );
});

test("a floor seen on end is a wall: the two formulas are one, turned by a right angle", () => {
  fc.assert(
    fc.property(d, t, degrees, (outer, thick, angle) => {
      const floor = computeFloorHole(outer, degToRad(90 - angle), thick);
      const wall = computeWallHole(outer, degToRad(angle), thick);
      expect(floor.lengthMm).toBeCloseTo(wall.lengthMm, 6);
    }),
  );
});

// Every line of the pipe's skin that runs through the floor must pass the hole: cut the slanted tube with both faces.
test("the pipe fits: its skin, cut by both faces of the floor, lies within the hole", () => {
  fc.assert(
    fc.property(d, t, degrees, (outer, thick, angle) => {
      const theta = degToRad(angle);
      const { lengthMm } = computeFloorHole(outer, theta, thick);
      const half = outer / 2 / Math.sin(theta);
      const shift = thick / Math.tan(theta);
      const ends = [-half, half, -half + shift, half + shift];
      expect(Math.max(...ends) - Math.min(...ends)).toBeCloseTo(lengthMm, 6);
    }),
  );
});
