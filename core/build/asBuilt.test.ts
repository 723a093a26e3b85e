import fc from "fast-check";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { findPlaceMm } from "../design/moves";
import { buildAsBuilt, judgeAsBuilt, listMeasurable, toMeasuredKey } from "./asBuilt";

const on = "2026-05-01";

test("every part can be measured, bears a key of its own, and moves exactly as far as it was off", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...DEMO_NAMES, FURNISHED),
      fc.nat(),
      fc.integer({ min: -15, max: 15 }),
      fc.integer({ min: -15, max: 15 }),
      (name, which, x, z) => {
        const design = readDemo(name);
        const parts = listMeasurable(design);
        expect(new Set(parts.map(toMeasuredKey)).size).toBe(parts.length);
        const part = parts[which % parts.length]!;
        const built = buildAsBuilt(design, [{ part, offMm: { x, y: 0, z }, on }]);
        if (built.lost.length > 0) return;
        const [before, after] = [findPlaceMm(design, part)!, findPlaceMm(built.design, part)!];
        // a port stays in its wall: it goes with it only along the wall
        if (part.kind === "port") return;
        expect(after.x - before.x).toBeCloseTo(x, 6);
        expect(after.z - before.z).toBeCloseTo(z, 6);
      },
    ),
    { numRuns: 80 },
  );
});

// Worked by hand: a bend that came 15 mm lower takes 15 mm from the run behind it.
test("Kranich's bend 15 mm lower takes the fall of the leg behind it, and the verdict says so", () => {
  const design = readDemo("kranich");
  const part = { kind: "bend", lineId: "sink-drain", index: 1 } as const;
  const { design: built } = buildAsBuilt(design, [{ part, offMm: { x: 0, y: 0, z: -15 }, on }]);
  const { drains, findings } = judgeAsBuilt(design, built);
  const [drain] = drains;
  expect(drain!.builtMm).toBeLessThan(drain!.plannedMm);
  const worse = buildAsBuilt(design, [{ part, offMm: { x: 0, y: 0, z: -60 }, on }]).design;
  expect(judgeAsBuilt(design, worse).findings.some(({ code }) => code.startsWith("legBackwards"))).toBe(true);
  expect(findings.every(({ severity }) => severity !== "must")).toBe(true);
  expect(judgeAsBuilt(design, design).findings).toEqual([]);
});

test("what is gone from the drawing is told, not lost", () => {
  const part = { kind: "fixture", id: "gone" } as const;
  expect(buildAsBuilt(readDemo("kranich"), [{ part, offMm: { x: 1, y: 0, z: 0 }, on }]).lost).toEqual([part]);
});
