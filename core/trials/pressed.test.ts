import { ALL_DEMOS } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { vec } from "../geometry/vec";
import { findPressureKPa, standsUnderPressure } from "./pressed";

const [kranich] = ALL_DEMOS;
const withGear = (...specs: readonly Gear["spec"][]): Design => ({
  ...kranich!,
  gear: specs.map((spec, i): Gear => {
    const { sizeMm, openBelowMm } = USUAL_GEAR[spec.kind];
    return { id: `piece-${i}`, name: `Piece ${i}`, atMm: vec(0, 0, 0), sizeMm, openBelowMm, spec };
  }),
});

test("only a pump with a pressure switch, or a tap outside, leaves hoses under pressure; the highest counts", () => {
  const quiet = (["filter", "valve", "tee", "strainer", "tap"] as const).map((kind) => usualSpec(kind));
  expect(standsUnderPressure(withGear(...quiet))).toBe(false);
  expect(findPressureKPa(withGear(...quiet))).toBe(0);
  const pump = (cutOutKPa: number | null) => usualSpec("pump", { cutOutKPa });
  expect(standsUnderPressure(withGear(pump(null), ...quiet))).toBe(false);
  expect(standsUnderPressure(withGear(...quiet, pump(280)))).toBe(true);
  expect(findPressureKPa(withGear(pump(null), pump(280), pump(190)))).toBe(280);
  const tap = usualSpec("coupling", { supplyKPa: 600 });
  expect(standsUnderPressure(withGear(tap))).toBe(true);
  expect(findPressureKPa(withGear(tap, pump(280)))).toBeGreaterThan(280);
  expect(standsUnderPressure(withGear(usualSpec("coupling", { supplyKPa: null })))).toBe(false);
});
