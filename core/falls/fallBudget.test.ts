import fc from "fast-check";
import { attitudes, designs, networks } from "@/tests/arbitraries";
import { computeUp, LEVEL } from "../attitude/attitude";
import { listEnvelopeAttitudes } from "../attitude/envelope";
import type { Drain } from "../design/plumbing";
import { vec } from "../geometry/vec";
import { buildDrainPath, buildLeg, type Leg } from "./drainPath";
import { computeFallBudget, computeFallInHandMm, measureLegFallMm } from "./fallBudget";

const findDrain = (design: { readonly lines: readonly { kind: string }[] }) =>
  design.lines.find((line) => line.kind === "drain") as Drain;

function createLeg(from: ReturnType<typeof vec>, to: ReturnType<typeof vec>): Leg {
  return buildLeg(from, to, {
    lineId: "drain",
    index: 0,
    pipe: { innerMm: 40, outerMm: 44, manningN: 0.009 },
    inflowLps: 0.1,
    surgeLps: 0.1,
  });
}

test("available = trap + drops + needed + left, at every attitude", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      const budget = computeFallBudget(buildDrainPath(design, findDrain(design)), computeUp(attitude), () => 20);
      const spent = budget.trapMm + budget.dropsMm + budget.neededMm + budget.leftMm;
      expect(spent).toBeCloseTo(budget.availableMm, 6);
      expect(budget.inHandMm).toBeLessThanOrEqual(Math.max(budget.leftMm, budget.dropsMm) + 1e-9);
    }),
  );
});

test("the fall in hand alone is that of the whole budget, at every attitude", () => {
  fc.assert(
    fc.property(networks, attitudes, fc.double({ min: 0, max: 40, noNaN: true }), (design, attitude, least) => {
      const up = computeUp(attitude);
      for (const line of design.lines) {
        if (line.kind !== "drain") continue;
        const path = buildDrainPath(design, line);
        const alone = computeFallInHandMm(
          path,
          up,
          path.legs.map(() => least),
        );
        expect(alone).toBeCloseTo(computeFallBudget(path, up, () => least).inHandMm, 9);
      }
    }),
  );
});

// Computed: tan 1.15° is 2 %, so a drain laid at 2 % runs backwards just beyond it.
test("a 2 % drain runs backwards from 1.15° the wrong way", () => {
  const leg = createLeg(vec(0, 0, 40), vec(2000, 0, 0));
  expect(measureLegFallMm(leg, computeUp({ pitchDeg: -1.14, rollDeg: 0 }))).toBeGreaterThan(0);
  expect(measureLegFallMm(leg, computeUp({ pitchDeg: -1.15, rollDeg: 0 }))).toBeLessThan(0);
});

// Computed: standing unlevel adds L (tan p cos α / cos r − tan r sin α), measured along the rig's own z.
test("tilt adds to the fall of a leg what the closed form says", () => {
  fc.assert(
    fc.property(attitudes, fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }), (attitude, alpha) => {
      const leg = createLeg(vec(0, 0, 0), vec(1000 * Math.cos(alpha), 1000 * Math.sin(alpha), 0));
      const up = computeUp(attitude);
      const p = (attitude.pitchDeg * Math.PI) / 180;
      const r = (attitude.rollDeg * Math.PI) / 180;
      const expected = 1000 * ((Math.tan(p) * Math.cos(alpha)) / Math.cos(r) - Math.tan(r) * Math.sin(alpha));
      expect(measureLegFallMm(leg, up) / up.z).toBeCloseTo(expected, 6);
    }),
  );
});

test("tilting further the way the water runs never takes fall in hand away", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 10, noNaN: true }),
      fc.double({ min: 0, max: 5, noNaN: true }),
      (pitch, more) => {
        const leg = createLeg(vec(0, 0, 40), vec(1500, 0, 0));
        const before = measureLegFallMm(leg, computeUp({ pitchDeg: pitch, rollDeg: 0 }));
        const after = measureLegFallMm(leg, computeUp({ pitchDeg: pitch + more, rollDeg: 0 }));
        expect(after).toBeGreaterThanOrEqual(before - 1e-9);
      },
    ),
  );
});

test("the envelope's corners decide: no attitude inside is worse for a leg that runs at all of them", () => {
  const inside = fc.record({
    pitchDeg: fc.double({ min: -3, max: 3, noNaN: true }),
    rollDeg: fc.double({ min: -2, max: 2, noNaN: true }),
  });
  const corners = listEnvelopeAttitudes({ noseDownDeg: 3, noseUpDeg: 3, leftLowDeg: 2, rightLowDeg: 2 });
  fc.assert(
    fc.property(designs, inside, (design, attitude) => {
      const path = buildDrainPath(design, findDrain(design));
      path.legs.forEach((leg) => {
        const worst = Math.min(...corners.map((corner) => measureLegFallMm(leg, computeUp(corner))));
        if (leg.kind === "run" && worst >= 0) {
          expect(measureLegFallMm(leg, computeUp(attitude))).toBeGreaterThanOrEqual(worst - 1e-6);
        }
      });
    }),
  );
});

test("a worked budget: 500 mm available, trap 90, drop 300, 2 m at 20 mm/m leaves 70", () => {
  const legs = [createLeg(vec(0, 0, 410), vec(0, 0, 110)), createLeg(vec(0, 0, 110), vec(2000, 0, 0))];
  legs[0] = { ...legs[0]!, kind: "drop" };
  const path = { outletMm: vec(0, 0, 500), nodesMm: [vec(0, 0, 410), vec(0, 0, 110), vec(2000, 0, 0)], legs };
  const budget = computeFallBudget(path as never, computeUp(LEVEL), () => 20);
  expect(budget).toMatchObject({ availableMm: 500, trapMm: 90, dropsMm: 300 });
  expect(budget.leftMm).toBeCloseTo(70, 0);
});
