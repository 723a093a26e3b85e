import "../evaluate/fitted";
import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { listPoints } from "../design/linePoints";
import { buildMove } from "../design/moves";
import { createFinding } from "../evaluate/createFinding";
import { evaluate } from "../evaluate/evaluate";
import { findPartBlock } from "../fit/partBlock";
import type { Vec3 } from "../geometry/vec";
import { proposePartInside } from "./insideRemedies";
import { proposeRemedies } from "./proposeRemedies";

const kranich = readDemo("kranich");
const withPoint = (design: Design, lineId: string, index: number, to: Partial<Vec3>): Design => ({
  ...design,
  lines: design.lines.map((line) => {
    if (line.id !== lineId) return line;
    const put = <T extends Vec3>(points: readonly T[]): T[] =>
      points.map((p, i) => (i === index ? { ...p, ...to } : p));
    return line.kind === "drain" ? { ...line, bendsMm: put(line.bendsMm) } : { ...line, pointsMm: put(line.pointsMm) };
  }),
});

test("a bend or a breather's point that lies off the rig comes in, and all others of its line stay", () => {
  const { widthMm, lengthMm } = kranich.rig;
  for (const [lineId, index, to, wanted] of [
    ["sink-drain", 1, { x: lengthMm + 3_000 }, { x: lengthMm }],
    ["sink-drain", 1, { y: -5_000 }, { y: -widthMm / 2 }],
    ["grey-vent", 1, { x: -4_000, y: 3_000 }, { x: 0, y: widthMm / 2 }],
  ] as const) {
    const off = withPoint(kranich, lineId, index, to);
    const finding = evaluate(off).findings.find(({ code, at }) => code === "partOutside" && at.kind === "line")!;
    const [remedy, ...others] = proposePartInside(off, finding as never);
    expect(others).toEqual([]);
    const [before, after] = [off, mustApply(off, remedy!.edit)].map((one) =>
      listPoints(one.lines.find(({ id }) => id === lineId)!),
    );
    expect(after!.map((p, i) => (i === index ? null : p))).toEqual(before!.map((p, i) => (i === index ? null : p)));
    expect(after![index]).toMatchObject(wanted);
    const from = before![index]!;
    expect(remedy!.byMm).toBe(Math.round(Math.hypot(after![index]!.x - from.x, after![index]!.y - from.y)));
    expect(evaluate(mustApply(off, remedy!.edit)).findings.map(({ id }) => id)).not.toContain(finding.id);
  }
});

test("a point no farther beside the floor than a wall is thick is left, and a line that is nowhere off gets nothing", () => {
  const ask = (design: Design) =>
    proposePartInside(
      design,
      createFinding({ kind: "line", id: "sink-drain" }, { code: "partOutside", byMm: 1 }) as never,
    );
  const beside = (mm: number) => withPoint(kranich, "sink-drain", 1, { y: kranich.rig.widthMm / 2 + mm });
  expect(ask(beside(150))).toEqual([]);
  expect(ask(beside(151))).toHaveLength(1);
  expect(ask(kranich)).toEqual([]);
  expect(
    proposePartInside(kranich, createFinding({ kind: "line", id: "none" }, { code: "partOutside", byMm: 1 }) as never),
  ).toEqual([]);
});

test("a tank comes in by as little as it takes; one wider than the floor stands in its middle", () => {
  let tried = 0;
  fc.assert(
    fc.property(
      networks,
      fc.integer({ min: -9_000, max: 9_000 }),
      fc.integer({ min: -9_000, max: 9_000 }),
      (drawn, x, y) => {
        const [tank] = drawn.tanks;
        const design = {
          ...drawn,
          tanks: drawn.tanks.map((one) => (one === tank ? { ...one, atMm: { ...one.atMm, x, y } } : one)),
        };
        const { lengthMm, widthMm } = design.rig;
        const at = { kind: "tank", id: tank!.id } as const;
        const [remedy] = proposePartInside(design, createFinding(at, { code: "partOutside", byMm: 1 }) as never);
        const [was, is] = [design, mustApply(design, remedy!.edit)].map((one) => findPartBlock(one, at.id)!);
        for (const [axis, low, high] of [
          ["x", 0, lengthMm],
          ["y", -widthMm / 2, widthMm / 2],
        ] as const) {
          const [from, to] = [is!.min[axis], is!.max[axis]];
          if (to - from > high - low) expect((from + to) / 2).toBeCloseTo((low + high) / 2, 0);
          else {
            expect(from).toBeGreaterThanOrEqual(low - 0.11);
            expect(to).toBeLessThanOrEqual(high + 0.11);
            // it went to the nearest edge, or stayed
            const went = Math.abs(from - was!.min[axis]);
            const least = Math.max(0, low - was!.min[axis], was!.max[axis] - high);
            expect(Math.abs(went - least)).toBeLessThan(0.11);
            tried++;
          }
        }
      },
    ),
  );
  expect(tried).toBeGreaterThan(50);
});

test("where it would stand in something at the edge it goes farther in, with its breather, and raises no new must", () => {
  const [tank] = kranich.tanks;
  const off = mustApply(kranich, buildMove(kranich, { kind: "tank", id: tank!.id }, { ...tank!.atMm, x: 12_000 })!);
  const evaluation = evaluate(off);
  const finding = evaluation.findings.find(({ code, at }) => code === "partOutside" && at.kind === "tank")!;
  const [remedy] = proposeRemedies(off, evaluation, finding);
  expect(remedy!.byMm).toBeGreaterThan(12_000 + 800 - kranich.rig.lengthMm);
  const musts = (design: Design) => evaluate(design).findings.filter(({ severity }) => severity === "must").length;
  expect(musts(mustApply(off, remedy!.edit))).toBeLessThan(musts(off));
});
