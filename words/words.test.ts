import fc from "fast-check";
import { EDIT_CODES } from "@/core/design/editOps";
import { evaluate } from "@/core/evaluate/evaluate";
import { listParts } from "@/core/parts/listParts";
import { listWorkings } from "@/core/workings/listWorkings";
import { attitudes, designs, networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { describeAttitude } from "./attitudes";
import { describeEdit } from "./edits";
import { describeFinding } from "./findings";
import { describeSymbol } from "./formulas";
import { describeHolePlace } from "./holes";
import { describePart as describePartToBuy } from "./parts";
import { describePlaceMm, describePlanPlaceMm } from "./places";
import { describeRemedy } from "./remedies";
import {
  describeRead,
  formatLength,
  formatNumber,
  formatQuantity,
  parseLength,
  parsePlain,
  parseQuantity,
  parseVolume,
} from "./units";

test.each([
  ["412", 412],
  ["412 mm", 412],
  ["41.2 cm", 412],
  ["41,2cm", 412],
  ["0.412 m", 412],
  ["-8", -8],
  ["−8 mm", -8],
  ["2 in", 50.8],
  ["16 1/4 in", 412.75],
  ['3/8"', 9.525],
  ["5 ft 2 1/2 in", 1587.5],
  ["5' 2\"", 1574.8],
  ["1½ in", 38.1],
  ['½"', 12.7],
  ["1-1/2 in", 38.1],
  ["1 - 1/2 in", 38.1],
  ["3'-6\"", 1066.8],
  ["3’-6 ½”", 1079.5],
  ["5 ft-2 1/2 in", 1587.5],
  ["24 13⁄16 in", 630.2375],
])("metric: %s is %d mm", (text, mm) => {
  const read = parseLength(text, "metric");
  expect(read.ok && read.value).toBeCloseTo(mm, 6);
});

test("imperial: a bare figure is inches, and inches after feet need no mark", () => {
  expect(parseLength("16 1/4", "imperial")).toEqual({ ok: true, value: 412.75 });
  expect(parseLength("1 ft 4", "imperial")).toEqual({ ok: true, value: 406.4 });
  expect(parseVolume("20", "imperial")).toMatchObject({ ok: true });
});

test.each(["", "abc", "12 parsecs", "1/0", "4 4", "--3", "NaN", "1e400", "2 in 3 ft", "12mm!"])(
  "%j is refused",
  (text) => {
    expect(parseLength(text, "metric").ok).toBe(false);
  },
);

test("a length written is read back to the sixteenth of an inch, or the tenth of a millimetre", () => {
  fc.assert(
    fc.property(fc.double({ min: -9000, max: 9000, noNaN: true }), (mm) => {
      const imperial = parseLength(formatLength(mm, "imperial"), "imperial");
      const metric = parseLength(formatLength(mm, "metric"), "metric");
      expect(imperial.ok && Math.abs(imperial.value - mm)).toBeLessThanOrEqual(25.4 / 32 + 1e-9);
      expect(metric.ok && Math.abs(metric.value - mm)).toBeLessThanOrEqual(0.5);
    }),
  );
});

test("numbers are written without minus nought and with a real minus", () => {
  expect(formatNumber(-0.001, 1)).toBe("0.0");
  expect(formatNumber(-3, 0)).toBe("\u22123");
  expect(formatQuantity(0.1, "flow", "metric")).toBe("6.0\u00a0L/min");
  expect(formatQuantity(3.785411784, "volume", "imperial")).toBe("1.0\u00a0gal");
  expect(parsePlain("2.5°")).toEqual({ ok: true, value: 2.5 });
});

test("attitudes in the words of the rig", () => {
  expect(describeAttitude({ pitchDeg: 0, rollDeg: 0 }, "van")).toBe("level");
  expect(describeAttitude({ pitchDeg: 3, rollDeg: -1.5 }, "van")).toBe("nose down 3°, left low 1.5°");
  expect(describeAttitude({ pitchDeg: -2, rollDeg: 5 }, "boat")).toBe("stern down 2°, heeled to starboard 5°");
});

test("every finding and working of any design reads as sentences, in both units", () => {
  fc.assert(
    fc.property(
      fc.oneof(designs, networks),
      attitudes,
      fc.constantFrom("metric" as const, "imperial" as const),
      (design, attitude, units) => {
        const evaluation = evaluate(design, attitude);
        for (const finding of evaluation.findings) {
          const { title, why, advice } = describeFinding(finding, design, units);
          for (const sentence of [title, why, advice]) {
            expect(sentence).toMatch(/^[A-Z\d]/);
            expect(sentence).not.toMatch(/undefined|NaN|Infinity|null|object Object/);
            // a measurement is one thing: it stays, is wanted, goes
            expect(sentence).not.toMatch(
              /\d\u00a0[^\d\s]+( of [a-z ]+)? (are|stay|stand|lie|come|go|run|leave|freeze|reach|hang)\b/,
            );
          }
        }
        for (const working of listWorkings(design, evaluation)) {
          for (const { symbol } of [...working.terms, working.result]) {
            expect(describeSymbol(working.formula, symbol)).not.toBe("");
          }
        }
        for (const part of listParts(design)) {
          const { amount, name } = describePartToBuy(part, units);
          expect(`${amount} ${name}`).toMatch(/^\d/);
          expect(name).not.toMatch(/undefined|NaN|object/);
        }
        for (const code of EDIT_CODES) {
          const edit = { code, at: { kind: "tank", id: "grey" }, ops: [] } as const;
          expect(describeEdit(edit, design)).toMatch(/^[A-Z]/);
          expect(describeRemedy({ edit, byMm: 12 }, design, units)).toMatch(/^[A-Z]/);
        }
      },
    ),
    { numRuns: 20 },
  );
});

test("a quantity written is read back in its stored unit", () => {
  const quantities = ["volume", "volumePerDay", "slope", "velocity", "flow", "ratio", "angle", "length"] as const;
  fc.assert(
    fc.property(
      fc.constantFrom(...quantities),
      fc.constantFrom("metric" as const, "imperial" as const),
      fc.double({ min: 1, max: 900, noNaN: true }),
      (quantity, units, value) => {
        const read = parseQuantity(formatQuantity(value, quantity, units), quantity, units);
        // half of the last place shown, in the coarsest unit of each
        const room = { length: 0.8, slope: 0.5, ratio: 0.006, flow: 0.001, volume: 0.2, volumePerDay: 0.2 };
        const allowed = room[quantity as keyof typeof room] ?? 0.06;
        expect(read.ok && Math.abs(read.value - value)).toBeLessThanOrEqual(allowed + 1e-9);
      },
    ),
  );
  for (const reason of ["empty", "notANumber", "unknownUnit"] as const) {
    expect(describeRead(reason, "length", "imperial")).toMatch(/\.$/);
  }
});

test.each([
  ["6 L/min", "flow", 0.1],
  ["0.1 L/s", "flow", 0.1],
  ["1/4 in/ft", "slope", 20.8333],
  ["2 %", "slope", 20],
  ["50", "ratio", 0.5],
  ["2 ft/s", "velocity", 0.6096],
] as const)("%s is read as %s in either system", (text, quantity, value) => {
  for (const units of ["metric", "imperial"] as const) {
    const read = parseQuantity(text, quantity, units);
    expect(read.ok && read.value).toBeCloseTo(value, 4);
  }
  expect(parseQuantity("6 buckets", "flow", "metric")).toEqual({ ok: false, reason: "unknownUnit" });
});

test("a hole through a wall is told with its height, one through the floor has none", () => {
  const [at, rig] = [{ x: 3780, y: 1050, z: 640 }, { rig: readDemo("kranich").rig }];
  expect(describeHolePlace({ through: "floor" }, at, rig, "metric")).not.toContain("640");
  for (const through of ["panel", "hull"] as const)
    expect(describeHolePlace({ through }, at, rig, "metric")).toContain("640\u00a0mm over the floor");
});

test("a place is said in the words of the rig", () => {
  const at = { x: 3780, y: -420, z: 60 };
  expect(describePlanPlaceMm(at, "van", "metric")).toBe(
    "3780\u00a0mm from the rear edge, 420\u00a0mm right of the middle",
  );
  expect(describePlanPlaceMm(at, "boat", "metric")).toBe(
    "3780\u00a0mm from the after edge, 420\u00a0mm to starboard of the middle",
  );
  expect(describePlaceMm({ ...at, y: 0, z: -60 }, "boat", "metric")).toBe(
    "3780\u00a0mm from the after edge, on the middle, 60\u00a0mm below the sole",
  );
});
