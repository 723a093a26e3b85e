import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { listBoltPlaces } from "../fixing/boltPlaces";
import { buildBoltCount, buildBoltRows, buildMoveBolt } from "./boltEdits";

const design = readDemo("kranich");
const tank = { ...design.tanks[0]!, fixing: SAMPLE_FIXING };
const base = { ...design, tanks: [tank] };
const apply = (edit: Edit) => {
  const outcome = applyEdit(base, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design.tanks[0]!.fixing!;
};

test("one bolt moved: it stands where it was put, the others where they stood; back in rows it is as before", () => {
  fc.assert(
    fc.property(
      fc.nat(3),
      fc.integer({ min: -200, max: 1_200 }),
      fc.integer({ min: -200, max: 800 }),
      (which, x, y) => {
        const before = listBoltPlaces(tank, SAMPLE_FIXING);
        const after = apply(buildMoveBolt(tank, SAMPLE_FIXING, which, { x, y })).placesMm!;
        expect(after[which]).toEqual({ x, y });
        after.forEach((place, i) => {
          if (i !== which) expect(place).toEqual({ x: Math.round(before[i]!.x), y: Math.round(before[i]!.y) });
        });
      },
    ),
  );
  expect(apply(buildBoltRows(tank)).placesMm).toBeNull();
});

test("another number is laid in rows again, so that no place is without its bolt", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 24 }), (bolts) => {
      const fixing = apply(buildBoltCount(tank, bolts));
      expect(fixing).toMatchObject({ bolts, placesMm: null });
      expect(listBoltPlaces(tank, fixing)).toHaveLength(bolts);
    }),
  );
});

test("a place off the earth is refused, and nothing is changed", () => {
  expect(applyEdit(base, buildMoveBolt(tank, SAMPLE_FIXING, 0, { x: 99_999, y: 0 })).ok).toBe(false);
});
