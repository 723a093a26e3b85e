import fc from "fast-check";
import { computeFriction, type Friction } from "./friction";
import { getFrictionTable, readFriction } from "./frictionTable";

test("the table is the law: to 1e-8 in the factor, to 1e-5 in its growth, at every flow and wall", () => {
  const law: Friction = { f: 0, growth: 0 };
  const read: Friction = { f: 0, growth: 0 };
  const walls = fc.oneof(fc.constant(0), fc.double({ min: 1e-6, max: 0.05, noNaN: true }));
  // by octaves, so that every one is met as often
  const flows = fc.oneof(
    fc.constantFrom(0, 2000, 4000, 4096, 2 ** 24),
    fc.double({ min: 0, max: 28, noNaN: true }).map((p) => 2 ** p),
  );
  fc.assert(
    fc.property(walls, flows, (wall, reynolds) => {
      computeFriction(reynolds, wall, law);
      readFriction(getFrictionTable(wall), reynolds, read);
      expect(Math.abs(read.f - law.f)).toBeLessThanOrEqual(1e-8 * law.f);
      expect(Math.abs(read.growth - law.growth)).toBeLessThanOrEqual(1e-5);
    }),
    { numRuns: 2_000 },
  );
});
