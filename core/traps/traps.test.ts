import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { computeUp, LEVEL } from "../attitude/attitude";
import { findBranchVent, findTrap, listAtBeginning, withBranchVent, withTrap } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { inPerFtToMmPerM, inToMm, MM_PER_FT } from "../quantity/convert";
import { lookUpLimit } from "../rules/lookUpLimit";
import { computeBoreFallMm, computeTrapArm } from "./trapArm";
import { computeLeastSealMm, computeTrapWater } from "./trapSeal";
import { measureTrapL } from "./trapVolume";

const QUARTER = inPerFtToMmPerM(1 / 4) / 1000;
const kranich = readDemo("kranich");
const drain = kranich.lines.find((line) => line.kind === "drain") as Drain;

// Published: IPC table 909.1 (from memory, 95 %): 5, 6, 8 ft for 1¼, 1½, 2 in at 1/4 in/ft; the sum D / s gives the same.
test.each([
  { inches: 1.25, feet: 5 },
  { inches: 1.5, feet: 6 },
  { inches: 2, feet: 8 },
])("trap to vent: $inches in falls by its bore in $feet ft, and the US pack says the same", ({ inches, feet }) => {
  const computed = computeBoreFallMm(inToMm(inches), QUARTER);
  expect(computed).toBeCloseTo(feet * MM_PER_FT, 6);
  const limit = lookUpLimit({ pack: "usModelCode", limits: {} }, "trapArm", { boreMm: inToMm(inches) });
  expect(limit.value).toBeCloseTo(computed!, 6);
});

// Computed: D / (s + tan of the downhill tilt); 38.1 mm at 1/4 in/ft.
test("38.1 mm at 1/4 in/ft: 1829 mm standing level, 520 mm at 3°", () => {
  expect(computeBoreFallMm(38.1, QUARTER)).toBeCloseTo(1829, 0);
  expect(computeBoreFallMm(38.1, QUARTER + Math.tan((3 * Math.PI) / 180))).toBeCloseTo(520, 0);
  expect(computeBoreFallMm(38.1, 0)).toBeNull();
});

test("the arm ends at the branch vent, or at the tank without one", () => {
  const path = buildDrainPath(kranich, drain);
  expect(computeTrapArm(path, [LEVEL]).lengthMm).toBeCloseTo(findBranchVent(drain)!.fromWeirMm, 6);
  const bare = buildDrainPath(kranich, withBranchVent(drain, null));
  const whole = bare.legs.reduce((sum, leg) => sum + leg.lengthMm, 0);
  expect(computeTrapArm(bare, [LEVEL]).lengthMm).toBeCloseTo(whole, 6);
});

test("a trap keeps its seal standing level and half its span's tilt less, tipped toward its outlet", () => {
  const path = buildDrainPath(kranich, drain);
  expect(computeTrapWater(path, computeUp(LEVEL))!.sealMm).toBeCloseTo(60, 6);
  // this trap carries the water to the right, so right low takes the weir down
  const tipped = computeTrapWater(path, computeUp({ pitchDeg: 0, rollDeg: 5 }))!.sealMm;
  expect(tipped).toBeCloseTo(60 * Math.cos((5 * Math.PI) / 180) - 40 * Math.sin((5 * Math.PI) / 180), 6);
  expect(computeTrapWater(buildDrainPath(kranich, withTrap(drain, null)), computeUp(LEVEL))).toBeNull();
});

test("the least seal over some standings is the least that the trap is said to have at one of them", () => {
  const attitude = fc.record({
    pitchDeg: fc.integer({ min: -20, max: 20 }),
    rollDeg: fc.integer({ min: -20, max: 20 }),
  });
  const sealMm = fc.constantFrom(0, 5, 50, 75);
  fc.assert(
    fc.property(fc.array(attitude, { minLength: 1, maxLength: 5 }), sealMm, (attitudes, seal) => {
      const path = buildDrainPath(kranich, withTrap(drain, { ...findTrap(drain)!, sealMm: seal }));
      const ups = attitudes.map((one) => ({ up: computeUp(one) }));
      const least = Math.min(...ups.map(({ up }) => computeTrapWater(path, up)!.sealMm));
      expect(computeLeastSealMm(path, ups)).toBeCloseTo(least, 9);
    }),
  );
  expect(computeLeastSealMm(buildDrainPath(kranich, withTrap(drain, null)), [{ up: computeUp(LEVEL) }])).toBe(0);
});

// By hand: two legs of 60 mm and 80 mm between them in a bore of 36.4 mm, a bore more for the mouth: 1,041 mm² over 236.4 mm.
test("water in a trap is two seals, the span and a bore more; none in a valve without water", () => {
  expect(measureTrapL({ sealMm: 60, spanMm: 80 }, 36.4)).toBeCloseTo(0.246, 3);
  expect(measureTrapL({ sealMm: 0, spanMm: 80 }, 36.4)).toBe(0);
  expect(measureTrapL({ sealMm: 0.001, spanMm: 0 }, 36.4)).toBeGreaterThan(0);
});

test("the dip hangs half way between outlet and weir, a seal below the weir; without a seal no water stands, tipped or not", () => {
  const { x, y, z } = buildDrainPath(kranich, drain).outletMm;
  // led to the rear, to the right, and askew
  for (const [dx, dy] of [
    [-600, 0],
    [0, -600],
    [300, -500],
  ] as const) {
    const bendsMm = [{ x: x + dx, y: y + dy, z: z - 110, id: "n1" }];
    const path = buildDrainPath(kranich, { ...drain, bendsMm, items: listAtBeginning(drain) });
    const [weir] = path.nodesMm;
    const { dipMm, surfaceMm } = computeTrapWater(path, computeUp(LEVEL))!;
    expect(Math.hypot(weir!.x - x, weir!.y - y)).toBeCloseTo(findTrap(drain)!.spanMm, 6);
    expect(dipMm.x).toBeCloseTo((weir!.x + x) / 2, 9);
    expect(dipMm.y).toBeCloseTo((weir!.y + y) / 2, 9);
    expect(surfaceMm - dipMm.z).toBeCloseTo(60, 9);
  }
  const dry = buildDrainPath(kranich, withTrap(drain, { ...findTrap(drain)!, sealMm: 0 }));
  // tipped the other way the weir stands over the dip, and still there is nothing in it
  for (const rollDeg of [-8, 0, 8]) expect(computeTrapWater(dry, computeUp({ pitchDeg: 0, rollDeg }))!.sealMm).toBe(0);
});
