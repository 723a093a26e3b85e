import fc from "fast-check";
import { inPerFtToMmPerM, inToMm, lToUsGal, mmPerMToInPerFt, mmToIn, usGalToL } from "./convert";

const values = fc.double({ min: -1e6, max: 1e6, noNaN: true });

test("units come back as they went", () => {
  fc.assert(
    fc.property(values, (v) => {
      expect(inToMm(mmToIn(v))).toBeCloseTo(v, 6);
      expect(usGalToL(lToUsGal(v))).toBeCloseTo(v, 6);
      expect(inPerFtToMmPerM(mmPerMToInPerFt(v))).toBeCloseTo(v, 6);
    }),
  );
});

// Published: international inch, US gallon of 231 cubic inches (NIST HB 44, from memory).
test("defined factors", () => {
  expect(inToMm(1)).toBe(25.4);
  expect(usGalToL(1)).toBeCloseTo(231 * 0.0254 ** 3 * 1000, 12);
  expect(inPerFtToMmPerM(1 / 4)).toBeCloseTo(20.8333, 4);
  expect(inPerFtToMmPerM(1 / 8)).toBeCloseTo(10.4167, 4);
});
