import { readDemo } from "@/tests/demoRigs";
import { computeUp, LEVEL } from "../attitude/attitude";
import type { Drain } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { inPerFtToMmPerM, inToMm, MM_PER_FT } from "../quantity/convert";
import { lookUpLimit } from "../rules/lookUpLimit";
import { computeBoreFallMm, computeTrapArm } from "./trapArm";
import { computeTrapWater } from "./trapSeal";

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
  expect(computeTrapArm(path, [LEVEL]).lengthMm).toBeCloseTo(drain.branchVent!.fromWeirMm, 6);
  const bare = buildDrainPath(kranich, { ...drain, branchVent: null });
  const whole = bare.legs.reduce((sum, leg) => sum + leg.lengthMm, 0);
  expect(computeTrapArm(bare, [LEVEL]).lengthMm).toBeCloseTo(whole, 6);
});

test("a trap keeps its seal standing level and half its span's tilt less, tipped toward its outlet", () => {
  const path = buildDrainPath(kranich, drain);
  expect(computeTrapWater(path, computeUp(LEVEL))!.sealMm).toBeCloseTo(60, 6);
  // this trap carries the water to the right, so right low takes the weir down
  const tipped = computeTrapWater(path, computeUp({ pitchDeg: 0, rollDeg: 5 }))!.sealMm;
  expect(tipped).toBeCloseTo(60 * Math.cos((5 * Math.PI) / 180) - 40 * Math.sin((5 * Math.PI) / 180), 6);
  expect(computeTrapWater(buildDrainPath(kranich, { ...drain, trap: null }), computeUp(LEVEL))).toBeNull();
});
