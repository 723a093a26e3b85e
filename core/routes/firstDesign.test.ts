import fc from "fast-check";
import { USUAL_MEASURES } from "../design/createDesign";
import type { FirstMeasures } from "../design/firstMeasures";
import { ASKED_UNDER, type FirstObstacles, listUsualUnder, NOTHING_UNDER } from "../design/firstObstacles";
import { RIG_KINDS } from "../design/rig";
import { evaluate } from "../evaluate/evaluate";
import { buildFirstDesign } from "./firstDesign";

const build = (kind: (typeof RIG_KINDS)[number], measures: FirstMeasures, under: FirstObstacles = NOTHING_UNDER) => {
  const outcome = buildFirstDesign({ id: "first", name: "First", kind, measures, under });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
};

test.each(RIG_KINDS)(
  "the usual %s: nothing to settle, with nothing under its floor and with all that is usual there",
  (kind) => {
    const measures = USUAL_MEASURES[kind];
    const usual = listUsualUnder(measures);
    const all = Object.fromEntries(
      Object.keys(NOTHING_UNDER).map((key) => [
        key,
        ASKED_UNDER[kind].includes(key as never) ? usual[key as keyof FirstObstacles] : null,
      ]),
    ) as FirstObstacles;
    for (const under of [NOTHING_UNDER, all]) {
      const design = build(kind, measures, under);
      const { findings, drains } = evaluate(design);
      expect(findings.filter(({ severity }) => severity === "must").map(({ id }) => id)).toEqual([]);
      // where nothing bars the wall the breather goes up there
      if (under === NOTHING_UNDER) expect(findings.map(({ code }) => code)).not.toContain("ventInRoom");
      // what is handed out is one's own: no trap of it is sucked dry
      expect(findings.map(({ code }) => code)).not.toContain("trapSiphons");
      expect(findings.map(({ code }) => code)).not.toContain("trapArmLong");
      // near the sink: no drain longer than a grown man
      expect(drains[0]!.legs.reduce((sum, leg) => sum + leg.planLengthMm, 0)).toBeLessThan(1_900);
      expect(design.obstacles.length).toBe(
        ASKED_UNDER[kind].reduce((sum, what) => sum + (under[what] ? (what === "rails" ? 2 : 1) : 0), 0),
      );
    }
  },
);

test("a place that was measured is kept, whatever comes of it", () => {
  const design = build("van", { ...USUAL_MEASURES.van, tankForwardMm: 210, tankLeftMm: -640 });
  expect(design.tanks[0]!.atMm).toMatchObject({ x: 210, y: -640 });
});

test("wherever the sink is, the first tank hangs clear of what was measured under the floor", () => {
  const usual = listUsualUnder(USUAL_MEASURES.van);
  const under = { ...NOTHING_UNDER, rails: usual.rails, axle: usual.axle, fuelTank: usual.fuelTank };
  fc.assert(
    fc.property(
      fc.integer({ min: 300, max: 3100 }),
      fc.integer({ min: -700, max: 700 }),
      (sinkForwardMm, sinkLeftMm) => {
        const design = build("van", { ...USUAL_MEASURES.van, sinkForwardMm, sinkLeftMm }, under);
        expect(evaluate(design).findings.map(({ code }) => code)).not.toContain("tankHitsObstacle");
      },
    ),
    { numRuns: 4 },
  );
});
