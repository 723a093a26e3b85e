import fc from "fast-check";
import { findNameSpot, type SheetBox } from "./nameSpot";

const BENCH: SheetBox = { left: 100, top: 50, right: 220, bottom: 130 };
const NOTHING = { pieces: [], boxes: [] };

test("a name stands in the middle of what it names, and not at all where it does not fit", () => {
  expect(findNameSpot(BENCH, "Bench", NOTHING)).toEqual({ x: 160, y: 90 });
  expect(findNameSpot(BENCH, "A bench that is longer than it is", NOTHING)).toBeNull();
  expect(findNameSpot({ ...BENCH, bottom: 60 }, "Bench", NOTHING)).toBeNull();
});

test("it goes out of the way of a pipe, and of a tank, or is left out", () => {
  const pipe = [
    { x: 160, y: 0 },
    { x: 160, y: 200 },
  ] as const;
  const beside = findNameSpot(BENCH, "Bench", { pieces: [pipe], boxes: [] })!;
  expect(Math.abs(beside.x - 160)).toBeGreaterThan(16);
  const tank = { left: 90, top: 80, right: 230, bottom: 140 };
  expect(findNameSpot(BENCH, "Bench", { pieces: [], boxes: [tank] })!.y).toBeLessThan(80);
  // under a tank that covers it, it would be taken for the tank's
  expect(findNameSpot(BENCH, "Bench", { pieces: [], boxes: [{ ...tank, top: 40 }] })).toBeNull();
});

test("wherever it goes it stays within what it names", () => {
  const number = fc.integer({ min: 0, max: 300 });
  const point = fc.record({ x: number, y: number });
  const box = fc
    .tuple(number, number, fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 200 }))
    .map(([left, top, width, height]): SheetBox => ({ left, top, right: left + width, bottom: top + height }));
  fc.assert(
    fc.property(
      box,
      fc.string({ minLength: 1, maxLength: 12 }),
      fc.array(fc.tuple(point, point), { maxLength: 6 }),
      fc.array(box, { maxLength: 4 }),
      (own, name, pieces, boxes) => {
        const spot = findNameSpot(own, name, { pieces, boxes });
        if (!spot) return;
        expect(spot.x - name.length * 3.2).toBeGreaterThanOrEqual(own.left - 4 - 1e-9);
        expect(spot.x + name.length * 3.2).toBeLessThanOrEqual(own.right + 4 + 1e-9);
        expect(spot.y).toBeGreaterThan(own.top);
        expect(spot.y).toBeLessThan(own.bottom);
      },
    ),
  );
});
