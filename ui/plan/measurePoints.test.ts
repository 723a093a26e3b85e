import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { measureBetween, snapToPart } from "./measurePoints";

const kranich = readDemo("kranich");
const mm = fc.integer({ min: -3000, max: 3000 });
const point = fc.record({ x: mm, y: mm, z: fc.option(mm) });

test("from one to the other is as far as back, and straight is never shorter than any of its parts", () => {
  fc.assert(
    fc.property(point, point, (a, b) => {
      const [there, back] = [measureBetween(a, b), measureBetween(b, a)];
      expect(back.straight).toBeCloseTo(there.straight, 9);
      for (const part of [there.along, there.across, Math.abs(there.up ?? 0)]) {
        expect(there.straight).toBeGreaterThanOrEqual(part - 1e-9);
      }
    }),
  );
});

test("near a part it is the part's own point with its height; in the open it is the place alone", () => {
  const outlet = kranich.fixtures[0]!.outletMm;
  expect(snapToPart(kranich, { x: outlet.x + 6, y: outlet.y - 4 }, 20)).toEqual(outlet);
  expect(snapToPart(kranich, { x: -900, y: 0 }, 20)).toEqual({ x: -900, y: 0, z: null });
});
