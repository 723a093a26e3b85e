import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { findInsulationMm } from "../design/lagging";
import { buildDrainPath } from "../falls/drainPath";
import { listLineLegs } from "../fit/lineLegs";
import { measureGapsOf } from "../fit/obstacleGaps";
import { measureUnderFloorMm } from "../fit/underFloor";
import { listFrostParts } from "../frost/frostParts";
import { vec } from "../geometry/vec";
import { evaluate } from "./evaluate";

const FOAM_MM = 13;
const cold = (design: Design): Design => ({
  ...design,
  rules: { ...design.rules, limits: { ...design.rules.limits, nightAir: -10 } },
});
const lag = (design: Design, insulationMm: number, lineId?: string): Design => ({
  ...design,
  lines: design.lines.map((line) =>
    line.kind === "vent" || (lineId !== undefined && line.id !== lineId) ? line : { ...line, insulationMm },
  ),
});
/** Fixtures set so low that their traps hang under the floor and their drains hold water. */
const sink = (design: Design): Design => ({
  ...design,
  fixtures: design.fixtures.map((one) => ({ ...one, outletMm: { ...one.outletMm, z: one.outletMm.z - 650 } })),
});
const hoursOf = (design: Design) => {
  const parts = listFrostParts(design, evaluate(design), 0.5);
  return new Map(parts.map(({ kind, at, hours }) => [`${kind} ${Object.values(at).join(":")}`, hours]));
};

test("lagged, every trap, sag and hose under the floor takes longer to freeze; valves, tanks and gear as long as before", () => {
  const seen = new Set<string>();
  for (const design of ALL_DEMOS.flatMap((one) => [cold(one), cold(sink(one))])) {
    const [bare, lagged] = [hoursOf(lag(design, 0)), hoursOf(lag(design, FOAM_MM))];
    expect([...lagged.keys()].sort()).toEqual([...bare.keys()].sort());
    for (const [part, hours] of bare) {
      const kind = part.split(" ")[0]!;
      if (kind === "valve" || kind === "tank" || kind === "gear") expect(lagged.get(part)).toBe(hours);
      else {
        expect([part, lagged.get(part)! > (kind === "sag" ? 1.1 : 1.5) * hours]).toEqual([part, true]);
        seen.add(kind);
      }
    }
  }
  expect([...seen].sort()).toEqual(["hose", "sag", "trap"]);
});

test("the more foam, the longer: what is told of a trap says so", () => {
  const told = (design: Design) =>
    evaluate(design).findings.flatMap((finding) => (finding.code === "trapFreezes" ? [finding.hours] : []));
  const trapped = cold(sink(readDemo("kranich")));
  expect(told(trapped)).not.toEqual([]);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 1, max: 40 }), (foamMm, moreMm) => {
      const [thin, thick] = [lag(trapped, foamMm), lag(trapped, foamMm + moreMm)].map(told);
      thin!.forEach((hours, i) => {
        expect(thick![i]).toBeGreaterThan(hours);
      });
    }),
    { numRuns: 20 },
  );
});

test("foam takes its room under the floor and none above: gaps are narrower by its thickness", () => {
  let [under, over] = [0, 0];
  for (const drawn of ALL_DEMOS)
    for (const line of drawn.lines) {
      if (line.kind === "vent") continue;
      const design = lag(drawn, 0);
      const lagged = lag(design, FOAM_MM, line.id);
      const legsOf = (one: Design) => {
        const own = one.lines.find(({ id }) => id === line.id)!;
        return own.kind === "drain" ? buildDrainPath(one, own).ownLegs : listLineLegs(one, own);
      };
      const [bare, thick] = [legsOf(design), legsOf(lagged)];
      bare.forEach((leg, i) => {
        const isUnder = Math.min(leg.from.z, leg.to.z) < 0;
        if (isUnder) under++;
        else over++;
        const gaps = measureGapsOf(lagged, thick[i]!);
        measureGapsOf(design, leg).forEach(({ gapMm }, k) => {
          expect(gaps[k]!.gapMm).toBeCloseTo(gapMm - (isUnder ? FOAM_MM : 0), 6);
        });
      });
    }
  expect([under, over].every((count) => count > 10)).toBe(true);
});

test("of a piece that goes through the floor only what lies below it counts", () => {
  expect(measureUnderFloorMm(vec(0, 0, 100), vec(0, 0, -300))).toBeCloseTo(300, 9);
  expect(measureUnderFloorMm(vec(0, 0, -300), vec(0, 0, 100))).toBeCloseTo(300, 9);
  expect(measureUnderFloorMm(vec(0, 0, 5), vec(900, 0, 0))).toBe(0);
  expect(measureUnderFloorMm(vec(0, 0, -5), vec(900, 0, -5))).toBe(900);
  expect(findInsulationMm(readDemo("kranich").lines.find(({ kind }) => kind === "vent")!)).toBe(0);
});
