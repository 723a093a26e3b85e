import { computeAir, computeAtmospherePa } from "./airState";

// Published: standard atmosphere (ISO 2533), from memory: temperature, pressure and density by height.
test.each([
  [0, 15, 101_325, 1.225],
  [1_000, 8.5, 89_875, 1.1116],
  [2_000, 2, 79_495, 1.0065],
  [4_000, -11, 61_640, 0.8191],
  [8_000, -37, 35_600, 0.5252],
])("the standard air at %s m: %s °C, %s Pa, %s kg/m³", (heightM, airC, pressurePa, density) => {
  expect(computeAtmospherePa(heightM) / pressurePa).toBeCloseTo(1, 2);
  expect(computeAir(airC, heightM).density / density).toBeCloseTo(1, 2);
});

test("20 °C at sea level is what breathers are reckoned with; cold air is heavier and less sticky", () => {
  const usual = computeAir(20, 0);
  expect(usual.density).toBeCloseTo(1.204, 3);
  expect(usual.viscosity).toBeCloseTo(1.81e-5, 6);
  const cold = computeAir(-20, 0);
  expect(cold.density).toBeGreaterThan(usual.density);
  expect(cold.viscosity).toBeLessThan(usual.viscosity);
});
