import { computeGaugeMm2, findWireGauge } from "./wireGauge";

// ASTM B258, nominal copper of a gauge in mm², from memory.
test.each([
  [18, 0.823],
  [16, 1.31],
  [14, 2.08],
  [12, 3.31],
  [10, 5.26],
  [8, 8.37],
  [6, 13.3],
  [4, 21.2],
  [2, 33.6],
])("gauge %d has %d mm² of copper", (gauge, mm2) => {
  expect(computeGaugeMm2(gauge) / mm2).toBeCloseTo(1, 2);
});

test("the gauge sold for an area has never less copper, and the next thinner has too little", () => {
  for (const mm2 of [0.5, 0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25]) {
    const gauge = findWireGauge(mm2)!;
    expect(computeGaugeMm2(gauge)).toBeGreaterThanOrEqual(mm2);
    if (gauge < 18) expect(computeGaugeMm2(gauge + 2)).toBeLessThan(mm2);
  }
  expect(findWireGauge(40)).toBeNull();
});
