import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { readNight } from "../frost/night";
import { computeSealAfterMm } from "./sealPressure";
import { computeSealAfterSiphonMm, computeSealUnderMm, computeTogetherMm, computeTrapFrostHours } from "./trapRisks";

const night = (airC: number) => ({ ...readNight(readDemo("kranich").rules), airC });

const mm = fc.integer({ min: 1, max: 150 });
const pascal = fc.integer({ min: 0, max: 3000 });

// Computed from hydrostatics; the figures of the trade's handbook where they are given there.
test("50 mm of seal under 300 Pa stand at 34.68 mm, and behind 60 mm of fall in a 36 mm bore at 38", () => {
  expect(computeSealUnderMm(50, 300)).toBeCloseTo(34.68, 2);
  expect(computeSealAfterSiphonMm(50, 60, 36)).toBeCloseTo(38, 9);
});

test("a pipe that has not gone down by its bore takes nothing, one that falls a storey takes all", () => {
  fc.assert(
    fc.property(mm, mm, mm, (seal, fall, bore) => {
      const left = computeSealAfterSiphonMm(seal, fall, bore);
      expect(left).toBeGreaterThanOrEqual(0);
      expect(left).toBeLessThanOrEqual(seal);
      if (fall <= bore) expect(left).toBe(seal);
      expect(computeSealAfterSiphonMm(seal, fall + 5, bore)).toBeLessThanOrEqual(left);
    }),
  );
  expect(computeSealAfterSiphonMm(50, 600, 36)).toBe(0);
});

test("pressure is borne twice as long as suction", () => {
  fc.assert(
    fc.property(mm, pascal, (seal, p) => {
      // where both have lost the same they differ by rounding
      expect(computeSealUnderMm(seal, p)).toBeGreaterThanOrEqual(computeSealAfterMm(seal, p) - 1e-9);
    }),
  );
});

test("a bare trap of 40 mm under the floor is at freezing point within the hour on a night of −10 °C", () => {
  // by hand: 0.187 kg of water in 0.18 m of pipe, 9 W/(m² K) over 0.0226 m² → 0.74 h
  const hours = computeTrapFrostHours({ sealMm: 50, spanMm: 80 }, { innerMm: 36.4, outerMm: 40 }, night(-10));
  expect(hours).toBeCloseTo(0.74, 2);
  expect(computeTrapFrostHours({ sealMm: 50, spanMm: 80 }, { innerMm: 36.4, outerMm: 40 }, night(2))).toBeNull();
});

test("what comes together adds up: a week of drying and suction off what the tilt leaves", () => {
  // 40 mm left askew, 2.5 mm a week of the seal, 100 Pa is 10.2 mm of water, half of it lost
  expect(computeTogetherMm(40, 2.5, 100)).toBeCloseTo(40 - 2.5 - 100 / 9.789 / 2, 2);
  // and what the drive there pushed out
  expect(computeTogetherMm(40, 2.5, 100, 12)).toBeCloseTo(computeTogetherMm(40, 2.5, 100) - 12, 9);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 100, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      fc.double({ min: 0, max: 900, noNaN: true }),
      (seal, dry, pa) => {
        expect(computeTogetherMm(seal, dry, pa)).toBeLessThanOrEqual(seal);
        expect(computeTogetherMm(seal + 1, dry, pa)).toBeGreaterThan(computeTogetherMm(seal, dry, pa));
      },
    ),
  );
});
