import fc from "fast-check";
import type { Trap } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { computeBeatS, computeDrivingLossMm, computeDryWeeks, computeSealRisks, findTrapLie } from "./sealRisks";

const traps: fc.Arbitrary<Trap> = fc.record({
  kind: fc.constantFrom("pTrap" as const, "bottle" as const, "running" as const),
  sealMm: fc.integer({ min: 1, max: 150 }),
  dropMm: fc.integer({ min: 0, max: 300 }),
  spanMm: fc.integer({ min: 0, max: 400 }),
  hasCleanout: fc.boolean(),
});
const push = fc.integer({ min: 0, max: 100 }).map((n) => n / 100);

test("legs 80 mm apart at 0.5 g lose 20.0 mm", () => {
  expect(computeDrivingLossMm(80, 0.5)).toBeCloseTo(20, 9);
});

// Common practice, no source: a seal as deep as its legs are apart breaks through at 1 g.
test("a seal breaks through once the push leans its water by all of it; just before that half of it is left", () => {
  expect(computeDrivingLossMm(60, 1, 60)).toBe(60);
  expect(computeDrivingLossMm(60, 0.999, 60)).toBeCloseTo(29.97, 9);
  expect(computeSealRisks({ ...USUAL_TRAPS.pTrap, sealMm: 60, spanMm: 60 }, 1, 2.5)).toMatchObject({
    drivingLossMm: 60,
    afterDrivingMm: 0,
    afterBeatMm: 0,
  });
});

// Common practice, no source: a column of 250 mm swings in 0.709 s; a push that keeps time with it does twice as much.
test("the water of a trap has a beat of its own, slower the more there is, and a road that keeps time takes twice as much", () => {
  expect(computeBeatS(250)).toBeCloseTo(0.709, 3);
  const risks = computeSealRisks({ ...USUAL_TRAPS.pTrap, sealMm: 75, spanMm: 100 }, 0.25, 2.5)!;
  expect(risks.beatS).toBeCloseTo(0.709, 3);
  expect(risks.drivingLossMm).toBeCloseTo(12.5, 9);
  expect(risks.afterBeatMm).toBeCloseTo(50, 9);
  fc.assert(
    fc.property(traps, push, (trap, g) => {
      const base = computeSealRisks(trap, g, 2.5)!;
      expect(base.afterBeatMm).toBeLessThanOrEqual(base.afterDrivingMm);
      expect(base.afterBeatMm).toBeGreaterThanOrEqual(0);
      expect(computeSealRisks({ ...trap, sealMm: trap.sealMm + 5 }, g, 2.5)!.beatS).toBeGreaterThan(base.beatS);
    }),
  );
});

test("50 mm dry in 40 weeks at the house figure, in 7.6 on a hot dry summer", () => {
  expect(computeDryWeeks(50, 2.5)).toBeCloseTo(20, 9);
  expect(computeDryWeeks(50, 13.2)).toBeCloseTo(3.788, 2);
});

test("driving never takes more than there is, and what is lost and left make up the seal", () => {
  fc.assert(
    fc.property(traps, push, (trap, g) => {
      const risks = computeSealRisks(trap, g, 2.5)!;
      expect(risks.drivingLossMm + risks.afterDrivingMm).toBeCloseTo(trap.sealMm, 9);
      expect(risks.afterDrivingMm).toBeGreaterThanOrEqual(0);
    }),
  );
});

test("a deeper seal lasts longer and keeps more; a wider trap and a harder push never keep more", () => {
  fc.assert(
    fc.property(traps, push, (trap, g) => {
      const base = computeSealRisks(trap, g, 2.5)!;
      const deep = computeSealRisks({ ...trap, sealMm: trap.sealMm + 5 }, g, 2.5)!;
      expect(deep.dryWeeks).toBeGreaterThan(base.dryWeeks);
      expect(deep.afterDrivingMm).toBeGreaterThanOrEqual(base.afterDrivingMm);
      const wide = computeSealRisks({ ...trap, spanMm: trap.spanMm + 10 }, g, 2.5)!;
      expect(wide.afterDrivingMm).toBeLessThanOrEqual(base.afterDrivingMm);
      expect(computeSealRisks(trap, g + 0.1, 2.5)!.afterDrivingMm).toBeLessThanOrEqual(base.afterDrivingMm);
    }),
  );
});

test("no trap, and a waterless valve, have no water to lose", () => {
  expect(computeSealRisks(null, 0.5, 2.5)).toBeNull();
  expect(computeSealRisks(USUAL_TRAPS.membrane, 0.5, 2.5)).toBeNull();
});

test("a trap lies the way its water goes to the weir", () => {
  const from = { x: 0, y: 0, z: 0 };
  expect(findTrapLie(from, { x: 80, y: 10, z: -90 })).toBe("along");
  expect(findTrapLie(from, { x: 0, y: -80, z: -90 })).toBe("across");
  // it is the way that counts, wherever it stands; half and half a push along is taken
  const far = { x: 3000, y: -900, z: 500 };
  expect(findTrapLie(far, { x: 3010, y: -820, z: 400 })).toBe("across");
  expect(findTrapLie({ ...far, y: 2900 }, { x: 2920, y: 2890, z: 400 })).toBe("along");
  expect(findTrapLie(from, { x: 80, y: 80, z: 0 })).toBe("along");
});
