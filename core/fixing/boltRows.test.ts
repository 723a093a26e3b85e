import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { listBoltPlaces } from "./boltPlaces";
import { areAlike, listBoltRows } from "./boltRows";

const tank = readDemo("kranich").tanks[0]!;
const length = tank.solid.shape === "box" ? tank.solid.lengthMm : Number.NaN;
const width = tank.solid.shape === "box" ? tank.solid.widthMm : Number.NaN;

test("two rows at the ends of a tank, from the rear edge and from the left", () => {
  const rows = listBoltRows(tank, { bolts: 4, placesMm: null });
  const { x, y } = tank.atMm;
  expect(rows).toEqual([
    { xMm: x - 25, ysMm: [y + width, y] },
    { xMm: x + length + 25, ysMm: [y + width, y] },
  ]);
  expect(areAlike(rows)).toBe(true);
  // the odd one stands in front
  const odd = listBoltRows(tank, { bolts: 5, placesMm: null });
  expect(odd.map(({ ysMm }) => ysMm.length)).toEqual([2, 3]);
  expect(areAlike(odd)).toBe(false);
});

test("rows are alike only bolt by bolt", () => {
  const rows = (second: readonly number[]) => [
    { xMm: 0, ysMm: [200, -200] },
    { xMm: 500, ysMm: second },
  ];
  expect(areAlike(rows([200, -200]))).toBe(true);
  expect(areAlike(rows([200.4, -200]))).toBe(true);
  expect(areAlike(rows([200, -201]))).toBe(false);
  expect(areAlike(rows([200]))).toBe(false);
  expect(areAlike(rows([200, -200, -300]))).toBe(false);
  expect(areAlike([])).toBe(true);
});

test("every bolt is in a row, on its own line, whatever places were chosen", () => {
  const place = fc.record({ x: fc.integer({ min: -200, max: 900 }), y: fc.integer({ min: -200, max: 900 }) });
  fc.assert(
    fc.property(fc.array(place, { minLength: 1, maxLength: 12 }), (placesMm) => {
      const fixing = { bolts: placesMm.length, placesMm };
      const rows = listBoltRows(tank, fixing);
      const told = rows.flatMap(({ xMm, ysMm }) => ysMm.map((y) => `${xMm - tank.atMm.x} ${y - tank.atMm.y}`));
      expect(told.sort()).toEqual(
        listBoltPlaces(tank, fixing)
          .map(({ x, y }) => `${x} ${y}`)
          .sort(),
      );
      const xs = rows.map(({ xMm }) => xMm);
      expect(xs).toEqual([...new Set(xs)].sort((a, b) => a - b));
    }),
  );
});
