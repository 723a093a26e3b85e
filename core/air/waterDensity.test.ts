import { WATER_DENSITY } from "./dumping";

// Published: G. S. Kell, J. Chem. Eng. Data 20 (1975) 97, density of water at one atmosphere; coefficients from memory.
function kell(t: number): number {
  const above = [999.83952, 16.945176, -7.9870401e-3, -46.170461e-6, 105.56302e-9, -280.54253e-12];
  return above.reduce((sum, c, i) => sum + c * t ** i, 0) / (1 + 16.87985e-3 * t);
}

test("water at 20 °C is as dense as Kell has it, and the one figure is within a third of a percent from 0 to 30 °C", () => {
  expect(kell(20)).toBeCloseTo(998.2, 1);
  expect(Math.abs(WATER_DENSITY - kell(20))).toBeLessThan(0.05);
  for (let t = 0; t <= 30; t += 5) expect(Math.abs(WATER_DENSITY / kell(t) - 1)).toBeLessThan(0.0034);
});
