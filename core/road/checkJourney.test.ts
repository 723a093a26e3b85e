import fc from "fast-check";
import type { Stop } from "../record/journey";
import { listOverlaps } from "./checkJourney";
import { addDays, toDays } from "./civil";

const stop = (id: string, day: number, nights: number): Stop => ({
  id,
  name: id,
  latDeg: null,
  lonDeg: null,
  arrive: addDays("2026-02-20", day),
  nights,
  has: { grey: false, toilet: false, fresh: false },
  isClosed: false,
  cost: 0,
  stands: null,
  note: "",
});

test("a stay that begins before the one before ends is told with both days; one that begins the day it ends is not", () => {
  expect(listOverlaps([stop("a", 0, 3), stop("b", 3, 1)])).toEqual([]);
  expect(listOverlaps([stop("b", 2, 1), stop("a", 0, 3)])).toEqual([
    { stopId: "b", beforeId: "a", arrive: "2026-02-22", leaves: "2026-02-23" },
  ]);
  // a place to dump on the way, within a stay
  expect(listOverlaps([stop("a", 0, 3), stop("dump", 1, 0)])).toEqual([]);
});

test("against night by night: no overlap is told exactly where no night is slept twice", () => {
  const stays = fc.array(fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 4 })), { maxLength: 9 });
  fc.assert(
    fc.property(stays, (drawn) => {
      const stops = drawn.map(([day, nights], i) => stop(`s${i}`, day, nights));
      const nights = stops.flatMap(({ arrive, nights: count }) =>
        Array.from({ length: count }, (_, i) => toDays(arrive) + i),
      );
      expect(listOverlaps(stops).length > 0).toBe(new Set(nights).size < nights.length);
    }),
  );
});
