import fc from "fast-check";
import { fitView, NO_ZOOM } from "../drawing/view";
import { trimToSheet } from "./trimToSheet";

const view = fitView({
  bounds: { left: 0, right: 2_000, low: -600, high: 900 },
  width: 740,
  height: 380,
  pad: { left: 0, right: 0, top: 0, bottom: 0 },
  exaggeration: 1,
  zoom: NO_ZOOM,
});
const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const long = fc
  .tuple(mm(-8_000, -4_000), fc.array(mm(-3_000, 5_000), { maxLength: 6 }), mm(6_000, 9_000))
  .map(([from, between, to]) => [from, ...between.sort((a, b) => a - b), to]);

const heightAt = (points: readonly (readonly [number, number])[], x: number): number => {
  const i = points.findIndex(([at], n) => n > 0 && at >= x);
  const [a, b] = [points[i - 1]!, points[i]!];
  return b[0] === a[0] ? b[1] : a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]);
};

test("what is left runs from side to side where the whole line runs", () => {
  fc.assert(
    fc.property(long, fc.array(mm(-400, 400), { minLength: 8, maxLength: 8 }), (stations, heights) => {
      // corners on one spot would make a step of no length
      const corners = [...new Set(stations)].map((s, i) => [s, heights[i]!] as const);
      const whole = corners.map(([s, h]) => [view.x(s), view.y(h)] as const);
      const trimmed = trimToSheet(view, corners);
      expect(trimmed[0]![0]).toBe(-20);
      expect(trimmed.at(-1)![0]).toBe(760);
      for (let x = -10; x <= 750; x += 19) {
        const steep = whole.some(([at], n) => n > 0 && at - whole[n - 1]![0] < 1e-3);
        if (!steep) expect(Math.abs(heightAt(trimmed, x) - heightAt(whole, x))).toBeLessThan(0.2);
      }
    }),
  );
});

test("a straight line stays as it is, wherever its corners are pulled", () => {
  fc.assert(
    fc.property(long, long, mm(-0.2, 0.2), (one, other, slope) => {
      const lay = (stations: readonly number[]) =>
        trimToSheet(
          view,
          stations.map((s) => [s, s * slope] as const),
        ).map(([x, y]) => `${x.toFixed(1)},${y.toFixed(3)}`);
      expect(lay(one)).toHaveLength(2);
      expect(lay(one).length).toBe(lay(other).length);
    }),
  );
});
