import fc from "fast-check";
import { calibrateByTurning, judgeLaidFall, readStands, toAttitude, toSlopeMmPerM, toTiltDeg } from "./phoneLevel";

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

test("a pipe laid flatter than it is drawn is short, however little; steeper is right while a hand lays it so", () => {
  expect(judgeLaidFall(19.9, 20)).toBe("short");
  expect(judgeLaidFall(20, 20)).toBe("right");
  expect(judgeLaidFall(22, 20)).toBe("right");
  expect(judgeLaidFall(40, 20)).toBe("steep");
  // the phone says it as it lies: 20 mm/m are 1.146°
  expect(judgeLaidFall(toSlopeMmPerM({ betaDeg: -toTiltDeg(20) - 1e-9, gammaDeg: 0 }), 20)).toBe("right");
});

test("only angles a rig can stand at are read as such", () => {
  expect(readStands({ pitchDeg: 1.5, rollDeg: -20 })).toEqual({ pitchDeg: 1.5, rollDeg: -20 });
  for (const odd of [null, 7, {}, { pitchDeg: 1 }, { pitchDeg: Number.NaN, rollDeg: 0 }, { pitchDeg: 21, rollDeg: 0 }])
    expect(readStands(odd)).toBeNull();
});
