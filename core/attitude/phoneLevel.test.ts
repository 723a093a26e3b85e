import fc from "fast-check";
import { calibrateByTurning, toAttitude, toSlopeMmPerM, toTiltDeg } from "./phoneLevel";

const small = fc.double({ min: -8, max: 8, noNaN: true });

test("turned round, the place changes its sign and the sensor's error stays: both are found", () => {
  fc.assert(
    fc.property(small, small, small, small, (placeB, placeG, errorB, errorG) => {
      const first = { betaDeg: placeB + errorB, gammaDeg: placeG + errorG };
      const turned = { betaDeg: -placeB + errorB, gammaDeg: -placeG + errorG };
      const offset = calibrateByTurning(first, turned);
      expect(offset.betaDeg).toBeCloseTo(errorB, 9);
      const { pitchDeg, rollDeg } = toAttitude(first, offset);
      expect(pitchDeg).toBeCloseTo(-placeB, 9);
      expect(rollDeg).toBeCloseTo(placeG, 9);
    }),
  );
});

// 2 % is 1.146°, by the tangent.
test("a pipe that falls 20 mm a metre reads 1.146°, and back", () => {
  expect(toSlopeMmPerM({ betaDeg: -1.1458, gammaDeg: 0 })).toBeCloseTo(20, 2);
  expect(toTiltDeg(20)).toBeCloseTo(1.1458, 3);
});
