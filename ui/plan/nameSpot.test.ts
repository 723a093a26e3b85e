import fc from "fast-check";
import type { Box } from "@/core/geometry/sheetBox";
import { findNameSpot } from "./nameSpot";

const BENCH: Box = { x0: 100, y0: 50, x1: 220, y1: 130 };
const NOTHING = { pieces: [], boxes: [] };

test("a name stands in the middle of what it names, and not at all where it does not fit", () => {
  expect(findNameSpot(BENCH, "Bench", NOTHING)).toEqual([160, 90]);
  expect(findNameSpot(BENCH, "A bench that is longer than it is", NOTHING)).toBeNull();
  expect(findNameSpot({ ...BENCH, y1: 60 }, "Bench", NOTHING)).toBeNull();
});

test("it goes out of the way of a pipe, and of a tank, or is left out", () => {
  const pipe = [
    [160, 0],
    [160, 200],
  ] as const;
  const beside = findNameSpot(BENCH, "Bench", { pieces: [pipe], boxes: [] })!;
  expect(Math.abs(beside[0] - 160)).toBeGreaterThan(16);
  const tank = { x0: 90, y0: 80, x1: 230, y1: 140 };
  expect(findNameSpot(BENCH, "Bench", { pieces: [], boxes: [tank] })![1]).toBeLessThan(80);
  // under a tank that covers it, it would be taken for the tank's
  expect(findNameSpot(BENCH, "Bench", { pieces: [], boxes: [{ ...tank, y0: 40 }] })).toBeNull();
});

test("wherever it goes it stays within what it names", () => {
  const number = fc.integer({ min: 0, max: 300 });
  const point = fc.tuple(number, number);
  const box = fc
    .tuple(number, number, fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 200 }))
    .map(([x0, y0, width, height]): Box => ({ x0, y0, x1: x0 + width, y1: y0 + height }));
  fc.assert(
    fc.property(
      box,
      fc.string({ minLength: 1, maxLength: 12 }),
      fc.array(fc.tuple(point, point), { maxLength: 6 }),
      fc.array(box, { maxLength: 4 }),
      (own, name, pieces, boxes) => {
        const spot = findNameSpot(own, name, { pieces, boxes });
        if (!spot) return;
        expect(spot[0] - name.length * 3.2).toBeGreaterThanOrEqual(own.x0 - 4 - 1e-9);
        expect(spot[0] + name.length * 3.2).toBeLessThanOrEqual(own.x1 + 4 + 1e-9);
        expect(spot[1]).toBeGreaterThan(own.y0);
        expect(spot[1]).toBeLessThan(own.y1);
      },
    ),
  );
});
