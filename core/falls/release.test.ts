import { readDemo } from "@/tests/demoRigs";
import { computeReleaseLps, computeWasteLps } from "./release";

const [sink] = readDemo("kranich").fixtures;
const bowl = { ...sink!, boreMm: 40, rimMm: 160, hasPlug: true, inflowLps: 0.1 };

// By hand: 36.4 mm under 250 mm of water, losses 3 + 1: 1,040.6 mm² × √(2 g 0.25 / 4) = 1.040e-3 × 1.1073 = 1.152 L/s.
test("a bowl let go runs as the narrower of waste and pipe lets it, by its rim and the trap's drop together", () => {
  expect(computeWasteLps(36.4, 250)).toBeCloseTo(1.152, 3);
  expect(computeReleaseLps(bowl, { pipeMm: 36.4, dropMm: 90 })).toBeCloseTo(computeWasteLps(36.4, 250), 12);
  expect(computeReleaseLps({ ...bowl, boreMm: 30 }, { pipeMm: 36.4, dropMm: 90 })).toBeCloseTo(
    computeWasteLps(30, 250),
    12,
  );
  expect(computeWasteLps(36.4, 0)).toBe(0);
  expect(computeWasteLps(36.4, -20)).toBe(0);
});

test("without a plug only the tap runs; a tap that brings more than the bowl lets go is what counts", () => {
  expect(computeReleaseLps({ ...bowl, hasPlug: false }, { pipeMm: 36.4, dropMm: 90 })).toBe(0.1);
  expect(computeReleaseLps({ ...bowl, inflowLps: 5 }, { pipeMm: 36.4, dropMm: 90 })).toBe(5);
});
