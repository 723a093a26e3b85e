import { computeStandingMap } from "@/core/evaluate/standingMap";
import { readDemo } from "@/tests/demoRigs";
import { paintStandingMap, parseHex } from "./mapPixels";

const inks = [
  { ground: [0, 0, 0], ink: [0, 0, 0] },
  { ground: [1, 0, 0], ink: [1, 0, 0] },
  { ground: [2, 0, 0], ink: [2, 0, 0] },
  { ground: [3, 0, 0], ink: [3, 0, 0] },
] as const;

test("the picture lies the way the bubble floats: nose up to the right, left side up to the top", () => {
  const map = computeStandingMap(readDemo("lesesaal"), { size: 21, rangeDeg: 8 })!;
  const pixels = paintStandingMap(map, 42, inks);
  const at = (x: number, y: number) => pixels[(y * 42 + x) * 4];
  // Lesesaal's drain runs aft: nose down spoils it, nose up helps
  expect(at(1, 20)).toBeGreaterThan(0);
  expect(at(41, 20)).toBe(0);
  for (const [column, row] of [
    [0, 0],
    [20, 0],
    [5, 13],
  ] as const) {
    expect(at((20 - column) * 2, (20 - row) * 2)).toBe(map.states[row * 21 + column]);
  }
});

test("hex colours", () => {
  expect(parseHex(" #a81f14")).toEqual([168, 31, 20]);
  expect(parseHex("#fff")).toEqual([255, 255, 255]);
});
