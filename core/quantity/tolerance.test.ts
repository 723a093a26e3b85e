import fc from "fast-check";
import { isAtLeast, isAtMost } from "./tolerance";

const numbers = fc.double({ min: -1e6, max: 1e6, noNaN: true });

test("a limit is kept at the limit itself and a hair short of it, and broken by what a tape could measure", () => {
  fc.assert(
    fc.property(numbers, (limit) => {
      const hair = 1e-12 * Math.max(1, Math.abs(limit));
      const felt = 1e-3 * Math.max(1, Math.abs(limit));
      expect([isAtLeast(limit, limit), isAtMost(limit, limit)]).toEqual([true, true]);
      expect([isAtLeast(limit - hair, limit), isAtMost(limit + hair, limit)]).toEqual([true, true]);
      expect([isAtLeast(limit - felt, limit), isAtMost(limit + felt, limit)]).toEqual([false, false]);
      expect([isAtLeast(limit + felt, limit), isAtMost(limit - felt, limit)]).toEqual([true, true]);
    }),
  );
  // the slack grows with the limit and never shrinks under that of 1
  expect([isAtLeast(-5e-10, 0), isAtLeast(1e6 - 5e-4, 1e6), isAtLeast(1 - 5e-10, 1)]).toEqual([true, true, true]);
  expect([isAtLeast(-1e-5, 0), isAtLeast(1e6 - 1, 1e6)]).toEqual([false, false]);
  expect([isAtMost(5e-10, 0), isAtMost(1e6 + 5e-4, 1e6)]).toEqual([true, true]);
});
