import { computeClimateDryWeeks, computeSaturationPa } from "./drying";

// Computed from Fick's law; the figures of the trade's handbook: a leg loses 1.28 mm a week at 20 °C and 50 %, 13.2 at 50 °C
// and 10 %, through 100 mm of air; the seal falls by half of that.
test.each([
  [20, 0.5, 1.28],
  [50, 0.1, 13.2],
])("at %s °C and humidity %s the seal falls by half of %s mm in the first week", (airC, humidity, legMm) => {
  const tinyMm = 0.01;
  const weeks = computeClimateDryWeeks(100, tinyMm, { airC, humidity })!;
  expect(tinyMm / weeks / (legMm / 2)).toBeGreaterThan(0.97);
  expect(tinyMm / weeks / (legMm / 2)).toBeLessThan(1.03);
});

// Stepped hour by hour, each leg's level down by half of what leaves the one that dries.
test("stepping the loss through time comes to the same weeks", () => {
  const climate = { airC: 30, humidity: 0.3 };
  const perWeek = (columnMm: number) => 0.001 / computeClimateDryWeeks(columnMm, 0.001, climate)!;
  let fallenMm = 0;
  let weeks = 0;
  const step = 1 / 168;
  while (fallenMm < 25) {
    fallenMm += perWeek(60 + fallenMm) * step;
    weeks += step;
  }
  expect(weeks / computeClimateDryWeeks(60, 25, climate)!).toBeCloseTo(1, 2);
});

test("damp air dries nothing; the vapour's pressure is that of the tables", () => {
  expect(computeClimateDryWeeks(100, 10, { airC: 20, humidity: 1 })).toBeNull();
  // published: 2,339 Pa at 20 °C, 12,350 at 50 °C (steam tables, from memory)
  expect(computeSaturationPa(20) / 2_339).toBeCloseTo(1, 2);
  expect(computeSaturationPa(50) / 12_350).toBeCloseTo(1, 2);
});
