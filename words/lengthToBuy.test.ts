import fc from "fast-check";
import { formatLengthToBuy } from "./lengthToBuy";
import { formatRun } from "./units";

const read = (text: string) => Number.parseFloat(text.replace(/,/g, ""));

test("never less than it takes, and less than a tenth more, in metres and in feet", () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 90, noNaN: true }), fc.constantFrom("metric", "imperial"), (metres, units) => {
      const told = read(formatLengthToBuy(metres, units)) * (units === "metric" ? 1 : 0.3048);
      const tenth = units === "metric" ? 0.1 : 0.03048;
      expect(told).toBeGreaterThan(metres - 1e-5);
      expect(told).toBeLessThan(metres + tenth + 1e-5);
    }),
  );
});

test("5.804 m is 5.9 m and not 5.8; a sum that is 3 m but for its last digit stays 3 m", () => {
  expect(formatLengthToBuy(5.804, "metric")).toBe(formatRun(5.9, "metric"));
  expect(formatLengthToBuy(0.1 + 0.2 + 2.7, "metric")).toBe(formatRun(3, "metric"));
  expect(formatLengthToBuy(0, "metric")).toBe(formatRun(0, "metric"));
});
