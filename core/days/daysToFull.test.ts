import fc from "fast-check";
import { computeStay } from "./daysToFull";

const habits = fc.record({
  people: fc.integer({ min: 1, max: 12 }),
  sinkLPerPersonDay: fc.double({ min: 0.5, max: 60, noNaN: true }),
  drunkLPerPersonDay: fc.double({ min: 0, max: 6, noNaN: true }),
  freshL: fc.double({ min: 5, max: 800, noNaN: true }),
});
const usable = fc.double({ min: 1, max: 600, noNaN: true });

test("what goes in until the day it is full is what it holds", () => {
  fc.assert(
    fc.property(habits, usable, (h, litres) => {
      const stay = computeStay(h, litres);
      expect(stay.daysToGreyFull * stay.greyLPerDay).toBeCloseTo(litres, 6);
      expect(stay.daysToFreshEmpty * stay.freshLPerDay).toBeCloseTo(h.freshL, 6);
      expect(stay.freshLPerDay).toBeGreaterThanOrEqual(stay.greyLPerDay);
    }),
  );
});

test("more people, or more down the sink, never lengthens a stay; more room never shortens it", () => {
  fc.assert(
    fc.property(habits, usable, (h, litres) => {
      const base = computeStay(h, litres);
      const crowd = computeStay({ ...h, people: h.people + 1 }, litres);
      expect(crowd.daysToGreyFull).toBeLessThan(base.daysToGreyFull);
      expect(crowd.daysToFreshEmpty).toBeLessThan(base.daysToFreshEmpty);
      expect(computeStay({ ...h, sinkLPerPersonDay: h.sinkLPerPersonDay * 1.1 }, litres).daysToGreyFull).toBeLessThan(
        base.daysToGreyFull,
      );
      expect(computeStay(h, litres + 5).daysToGreyFull).toBeGreaterThan(base.daysToGreyFull);
    }),
  );
});

test("the first to run out ends the stay", () => {
  const h = { people: 2, sinkLPerPersonDay: 9, drunkLPerPersonDay: 2, freshL: 110 };
  expect(computeStay(h, 80).endedBy).toBe("grey");
  expect(computeStay(h, 90).endedBy).toBe("both");
  expect(computeStay(h, 100).endedBy).toBe("fresh");
});
