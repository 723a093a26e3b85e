import fc from "fast-check";
import { attitudes, designs } from "@/tests/arbitraries";
import { LEVEL } from "../attitude/attitude";
import { applyEdit } from "../design/edit";
import { buildMove, findPlaceMm } from "../design/moves";
import type { Drain } from "../design/plumbing";
import { add, measurePlanLength } from "../geometry/vec";
import { layOutLongSection } from "./longSection";
import { computeSectionShift } from "./sectionShift";

const findDrain = (design: { lines: readonly { kind: string }[] }) =>
  design.lines.find((line) => line.kind === "drain") as Drain;

test("a bend pulled up in the section rises by the same true height there, and nothing before it moves", () => {
  fc.assert(
    fc.property(designs, attitudes, fc.double({ min: -8, max: 8, noNaN: true }), (design, attitude, upMm) => {
      const drain = findDrain(design);
      const part = { kind: "bend", lineId: drain.id, index: 0 } as const;
      const shift = computeSectionShift(design, drain, part, { alongMm: 0, upMm }, attitude);
      const edit = buildMove(design, part, add(findPlaceMm(design, part)!, shift));
      if (!edit) return;
      const outcome = applyEdit(design, edit);
      if (!outcome.ok) return;
      const before = layOutLongSection(design, drain, attitude, 0);
      const after = layOutLongSection(outcome.design, findDrain(outcome.design), attitude, 0);
      expect(Math.abs(after.nodes[1]!.h - before.nodes[1]!.h - upMm)).toBeLessThan(0.08);
      // places are kept to a tenth of a millimetre
      expect(Math.abs(after.nodes[1]!.s - before.nodes[1]!.s)).toBeLessThan(0.15);
      expect(after.outlet).toEqual(before.outlet);
    }),
  );
});

test("a pull along the section is a shift of the same length in plan, and keeps the true height", () => {
  fc.assert(
    fc.property(designs, attitudes, fc.double({ min: -90, max: 90, noNaN: true }), (design, attitude, alongMm) => {
      const drain = findDrain(design);
      for (const part of [
        { kind: "fixture", id: "sink" },
        { kind: "tank", id: "grey" },
        { kind: "bend", lineId: drain.id, index: 1 },
        { kind: "passage", lineId: drain.id, index: 1 },
        { kind: "leg", lineId: drain.id, index: 1 },
      ] as const) {
        const shift = computeSectionShift(design, drain, part, { alongMm, upMm: 0 }, attitude);
        expect(measurePlanLength(shift)).toBeCloseTo(Math.abs(alongMm), 6);
        const level = computeSectionShift(design, drain, part, { alongMm, upMm: 0 }, LEVEL);
        expect(level.z).toBe(0);
      }
    }),
  );
});
