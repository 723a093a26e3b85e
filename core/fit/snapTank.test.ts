import fc from "fast-check";
import { mirrorDesign } from "@/tests/arbitraries";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { vec } from "../geometry/vec";
import { toTankBlock } from "./obstacleGaps";
import { snapTank } from "./snapTank";

const shifts = fc.record({
  x: fc.integer({ min: -200, max: 200 }),
  y: fc.integer({ min: -200, max: 200 }),
  z: fc.integer({ min: -60, max: 60 }),
});

test("a snapped shift is never further off than it may be, and an axis that does not move stays", () => {
  fc.assert(
    fc.property(fc.constantFrom(...DEMO_NAMES), shifts, fc.integer({ min: 0, max: 40 }), (name, shift, nearMm) => {
      const design = readDemo(name);
      const snapped = snapTank(design, design.tanks[0]!.id, shift, nearMm);
      for (const axis of ["x", "y", "z"] as const) {
        expect(Math.abs(snapped[axis] - shift[axis])).toBeLessThanOrEqual(nearMm + 1e-9);
        if (shift[axis] === 0) expect(snapped[axis]).toBe(0);
      }
    }),
  );
});

test("Kranich's tank pulled toward the cross-member ahead stops where it keeps the room the rules ask", () => {
  const design = readDemo("kranich");
  const { max } = toTankBlock(design.tanks[0]!);
  // the cross-member begins 2420 mm from the rear edge; the tank ends at 1956
  const member = design.obstacles.find(({ atMm }) => atMm.x === 2420)!;
  const there = member.atMm.x - max.x;
  const snapped = snapTank(design, "grey", vec(there - 12, 0, 0), 20);
  expect(member.atMm.x - (max.x + snapped.x)).toBeGreaterThan(0);
  expect(snapped.x).not.toBe(there - 12);
  expect(snapTank(design, "grey", vec(there - 200, 0, 0), 5).x).toBe(there - 200);
});

test("lifted near the floor the top meets its underside; in a mirrored rig it snaps to the mirrored place", () => {
  const design = readDemo("kranich");
  const floorMm = design.rig.floorLayers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const { max } = toTankBlock(design.tanks[0]!);
  const snapped = snapTank(design, "grey", vec(0, 0, -floorMm - max.z - 4), 8);
  expect(max.z + snapped.z).toBeCloseTo(-floorMm, 9);
  fc.assert(
    fc.property(shifts, (shift) => {
      const one = snapTank(design, "grey", shift, 15);
      const other = snapTank(mirrorDesign(design), "grey", { ...shift, y: -shift.y }, 15);
      expect(other.x).toBeCloseTo(one.x, 9);
      expect(other.y).toBeCloseTo(-one.y, 9);
      expect(other.z).toBeCloseTo(one.z, 9);
    }),
  );
});
