import fc from "fast-check";
import { measureSignedArea } from "@/core/geometry/polygon";
import { cutPipeWater, type ScreenPoint } from "./pipeWater";

const px = fc.double({ min: 0, max: 800, noNaN: true });
const point = fc.tuple(px, px);
const course = fc.array(point, { minLength: 2, maxLength: 5 });

const measure = (outlines: readonly (readonly ScreenPoint[])[]) =>
  outlines.reduce((sum, o) => sum + Math.abs(measureSignedArea(o.map(([u, v]) => ({ u, v })))), 0);

test("water never stands above its surface, nor outside the pipe", () => {
  fc.assert(
    fc.property(course, fc.double({ min: 2, max: 40, noNaN: true }), px, (pipe, width, surface) => {
      for (const [x, y] of cutPipeWater(pipe, width, surface).flat()) {
        expect(y).toBeGreaterThanOrEqual(surface - 1e-6);
        const away = Math.min(...pipe.slice(1).map((to, i) => measureAway([x, y], pipe[i]!, to)));
        expect(away).toBeLessThanOrEqual(width / 2 + 1e-6);
      }
    }),
  );
});

test("a higher surface never shows less water, and below the pipe there is none", () => {
  fc.assert(
    fc.property(course, px, fc.double({ min: 0, max: 100, noNaN: true }), (pipe, surface, rise) => {
      expect(measure(cutPipeWater(pipe, 12, surface - rise))).toBeGreaterThanOrEqual(
        measure(cutPipeWater(pipe, 12, surface)) - 1e-6,
      );
      const lowest = Math.max(...pipe.map(([, y]) => y)) + 6;
      expect(cutPipeWater(pipe, 12, lowest + 1e-6)).toEqual([]);
    }),
  );
});

test("a level pipe, half full, shows half its outline", () => {
  // 100 x 20 and a round end of 12 corners, halved: 1000 + 6 × 10² × sin(30°) / 2 on either side together
  const half = measure(
    cutPipeWater(
      [
        [50, 100],
        [150, 100],
      ],
      20,
      100,
    ),
  );
  expect(half).toBeCloseTo(1000 + 150, 6);
});

function measureAway([x, y]: ScreenPoint, [x0, y0]: ScreenPoint, [x1, y1]: ScreenPoint): number {
  const whole = (x1 - x0) ** 2 + (y1 - y0) ** 2;
  const share = whole === 0 ? 0 : Math.min(1, Math.max(0, ((x - x0) * (x1 - x0) + (y - y0) * (y1 - y0)) / whole));
  return Math.hypot(x0 + (x1 - x0) * share - x, y0 + (y1 - y0) * share - y);
}
