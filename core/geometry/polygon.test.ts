import fc from "fast-check";
import { prisms } from "@/tests/arbitraries";
import { clipBelow, findCrossing, measureSignedArea } from "./polygon";

const square = [
  { u: 0, v: 0 },
  { u: 2, v: 0 },
  { u: 2, v: 2 },
  { u: 0, v: 2 },
];

test("area keeps its sign with the sense of the corners", () => {
  expect(measureSignedArea(square)).toBe(4);
  expect(measureSignedArea([...square].reverse())).toBe(-4);
});

test("a bow tie crosses itself, a square does not", () => {
  expect(findCrossing(square)).toBeNull();
  expect(findCrossing([square[0]!, square[2]!, square[1]!, square[3]!])).toEqual([0, 2]);
});

test("the parts below and above a line make up the outline", () => {
  fc.assert(
    fc.property(prisms, fc.double({ min: 0, max: 1400, noNaN: true }), ({ profileMm }, level) => {
      const below = clipBelow(profileMm, (p) => p.v, level);
      const above = clipBelow(profileMm, (p) => -p.v, -level);
      const whole = measureSignedArea(profileMm);
      expect(measureSignedArea(below) + measureSignedArea(above)).toBeCloseTo(whole, 4);
    }),
  );
});
