import fc from "fast-check";
import { prisms } from "@/tests/arbitraries";
import { clipBelow, findCrossing, measureInside, measureSignedArea } from "./polygon";

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

test("a disc so far inside is inside to its rim, and one a hair larger is not", () => {
  expect(measureInside(square, { u: 1, v: 1 })).toBeCloseTo(1, 12);
  expect(measureInside(square, { u: 3, v: 1 })).toBeCloseTo(-1, 12);
  expect(measureInside(square, { u: 3, v: 3 })).toBeCloseTo(-Math.SQRT2, 12);
  const points = fc.record({
    u: fc.double({ min: -200, max: 1400, noNaN: true }),
    v: fc.double({ min: -200, max: 1400, noNaN: true }),
  });
  fc.assert(
    fc.property(prisms, points, ({ profileMm }, p) => {
      const away = Math.abs(measureInside(profileMm, p));
      // what is cut off the outline beside the disc's own square leaves the area of the square, or nothing of it
      const inSquare = (half: number) =>
        [
          (q: typeof p) => q.u - p.u - half,
          (q: typeof p) => p.u - half - q.u,
          (q: typeof p) => q.v - p.v - half,
          (q: typeof p) => p.v - half - q.v,
        ].reduce<readonly (typeof p)[]>((left, side) => clipBelow(left, side, 0), profileMm);
      const half = away / Math.SQRT2 - 1e-6;
      if (half <= 0) return;
      const left = Math.abs(measureSignedArea(inSquare(half)));
      const whole = measureInside(profileMm, p) > 0 ? (2 * half) ** 2 : 0;
      expect(left).toBeCloseTo(whole, 2);
    }),
  );
});
