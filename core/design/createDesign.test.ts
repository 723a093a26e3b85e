import fc from "fast-check";
import { evaluate } from "../evaluate/evaluate";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { createDesign, USUAL_MEASURES } from "./createDesign";
import type { FirstMeasures } from "./firstMeasures";
import { parseDesign } from "./parseDesign";
import { RIG_KINDS } from "./rig";

// whole millimetres: doubles would crowd around nought
const between = (min: number, max: number) => fc.integer({ min, max });

const measures: fc.Arbitrary<Partial<FirstMeasures>> = fc.record(
  {
    floorLengthMm: between(-100, 12_000),
    floorWidthMm: between(500, 2_600),
    floorThicknessMm: between(-10, 600),
    groundBelowMm: between(0, 1_200),
    sillBelowMm: fc.option(between(-50, 900)),
    sinkForwardMm: between(-500, 9_000),
    sinkLeftMm: between(-1_200, 1_200),
    sinkHeightMm: between(-300, 1_200),
    tankLengthMm: between(0, 2_000),
    tankWidthMm: between(0, 1_200),
    tankHeightMm: between(0, 600),
    tankTopBelowMm: between(-200, 900),
    people: fc.integer({ min: 0, max: 80 }),
    freshL: between(0, 900),
  },
  { requiredKeys: [] },
);

test("whatever is measured, a first design is sound or is refused with its faults; nothing throws", () => {
  let sound = 0;
  fc.assert(
    fc.property(fc.constantFrom(...RIG_KINDS), measures, (kind, some) => {
      const outcome = parseDesign(createDesign("first", "First", kind, { ...USUAL_MEASURES[kind], ...some }));
      if (!outcome.ok) {
        expect(outcome.faults.length).toBeGreaterThan(0);
        return;
      }
      sound += 1;
      const evaluation = evaluate(outcome.design);
      expect(evaluation.drains).toHaveLength(1);
      expect(evaluation.balance.stores.map(({ holds }) => holds)).toEqual(["fresh", "grey"]);
      expect(evaluation.balance.endsBy.level).not.toBeNull();
    }),
    { numRuns: 300 },
  );
  expect(sound).toBeGreaterThan(20);
});

test.each(RIG_KINDS)(
  "the usual %s has a trap, a breather and a dump outlet, and no must that cannot be mended",
  (kind) => {
    const design = createDesign("first", "First", kind, USUAL_MEASURES[kind]);
    const evaluation = evaluate(design);
    const codes = evaluation.findings.map((f) => f.code);
    for (const code of ["trapMissing", "tankUnvented", "tankNoOutlet", "fixtureUndrained"])
      expect(codes).not.toContain(code);
    for (const finding of evaluation.findings.filter((f) => f.severity === "must")) {
      expect(proposeRemedies(design, evaluation, finding).length).toBeGreaterThan(0);
    }
  },
);

test("the drain leaves the sink where it was measured and enters the tank where it hangs", () => {
  const design = createDesign("first", "First", "van", {
    ...USUAL_MEASURES.van,
    sinkForwardMm: 2100,
    sinkLeftMm: -300,
  });
  expect(design.fixtures[0]!.outletMm).toMatchObject({ x: 2100, y: -300, z: USUAL_MEASURES.van.sinkHeightMm });
  const { tankTopBelowMm, tankHeightMm } = USUAL_MEASURES.van;
  expect(design.tanks[0]!.atMm.z).toBe(-tankTopBelowMm - tankHeightMm);
});
