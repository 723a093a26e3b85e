import fc from "fast-check";
import { integrateSegmentArea, measureSegmentArea } from "./circularSegment";

test("empty, half and full circle", () => {
  expect(measureSegmentArea(2, 0)).toBe(0);
  expect(measureSegmentArea(2, 1)).toBeCloseTo(Math.PI / 2, 12);
  expect(measureSegmentArea(2, 2)).toBeCloseTo(Math.PI, 12);
  expect(measureSegmentArea(2, 5)).toBeCloseTo(Math.PI, 12);
});

test("the closed integral agrees with adding up thin slices, also above the crown", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 2, noNaN: true }), (depth) => {
      const slices = 4000;
      let sum = 0;
      for (let i = 0; i < slices; i++) sum += (measureSegmentArea(1, ((i + 0.5) * depth) / slices) * depth) / slices;
      expect(integrateSegmentArea(1, depth)).toBeCloseTo(sum, 5);
    }),
    { numRuns: 50 },
  );
});
