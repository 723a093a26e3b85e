import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { parseDesign } from "../design/parseDesign";
import { evaluate } from "../evaluate/evaluate";
import { listExits } from "./exits";
import { countHoles, listFittings } from "./fittings";
import { listHoles, measureFitting } from "./holes";
import { chooseOwnSaw, findSaw, MOST_OVER_MM } from "./saws";

const otter = readDemo("otter");

const fitting = (z: number, changes: Partial<Extract<Gear["spec"], { kind: "skinFitting" }>> = {}): Gear => ({
  id: "through",
  name: "Galley outlet",
  atMm: { x: 2_000, y: 700, z },
  sizeMm: { x: 60, y: 60, z: 60 },
  openBelowMm: 0,
  spec: {
    kind: "skinFitting",
    boreMm: 38,
    metal: "bronze",
    serves: "discharge",
    hasSeacock: true,
    clamps: 2,
    ...changes,
  },
});
const lines = otter.lines.filter(({ kind }) => kind !== "hose");
const withFitting = (piece: Gear): Design => ({ ...otter, gear: [piece], lines });

test("every passage and every fitting is one hole, with a saw that is wide enough", () => {
  for (const design of ALL_DEMOS) {
    const evaluation = evaluate(design);
    const holes = listHoles(design, evaluation);
    const passages = evaluation.drains.flatMap((d) => d.passages).length + evaluation.linePassages.length;
    const exits = listExits(design, evaluation).length;
    expect(holes).toHaveLength(passages + exits + listFittings(design).length);
    expect(countHoles(design, evaluation)).toBe(holes.length);
    for (const { saw, lengthMm } of holes)
      if (saw.metricMm !== null) expect(saw.metricMm).toBeGreaterThanOrEqual(lengthMm - 1e-6);
  }
  // facts of the trade, no source: 1½ in is 38.1 mm
  expect(findSaw(38)).toEqual({ metricMm: 38, inch: 1.5 });
  expect(findSaw(500)).toEqual({ metricMm: null, inch: null });
});

test("a fitting heels under, and floods as Torricelli says; port and starboard change sides", () => {
  const line = otter.rig.waterlineZMm!;
  const low = withFitting(fitting(line - 500 - 30));
  const { restOverMm, restLps, worstOverMm } = measureFitting(low, listFittings(low)[0]!);
  expect(restOverMm).toBeCloseTo(-500, 6);
  // 38 mm, half a metre down, discharge 0.6: 128 L/min [C]; reckoned here with 0.8
  expect(restLps * 60 * (0.6 / 0.8)).toBeCloseTo(128, 0);
  expect(worstOverMm).toBeLessThan(restOverMm);
  const mirrored = { ...low, gear: [{ ...low.gear[0]!, atMm: { ...low.gear[0]!.atMm, y: -760 } }] };
  expect(parseDesign(mirrored)).toMatchObject({ ok: true });
  const { envelope } = otter.rig;
  if (envelope.leftLowDeg === envelope.rightLowDeg) {
    expect(measureFitting(mirrored, listFittings(mirrored)[0]!).worstOverMm).toBeCloseTo(worstOverMm, 6);
  }
});

test.each([
  ["seacockMissing", "must", -300, { hasSeacock: false }],
  ["metalUnfit", "must", -300, { metal: "brass" as const }],
  ["clampsFew", "should", -300, { clamps: 1 }],
] as const)("%s, a %s, below the water; high over it nothing is said", (code, severity, over, changes) => {
  const line = otter.rig.waterlineZMm!;
  const find = (z: number) => evaluate(withFitting(fitting(z, changes))).findings.find((f) => f.code === code);
  expect(find(line + over)).toMatchObject({ code, severity });
  if (code !== "metalUnfit") expect(find(line + 900)).toBeUndefined();
  expect(evaluate(withFitting(fitting(line + over))).findings.find((f) => f.code === code)).toBeUndefined();
});

test("a vented loop that heels under the water is a must, one high enough is not", () => {
  const line = otter.rig.waterlineZMm!;
  const loop = (z: number): Gear => ({
    id: "loop",
    name: "Vented loop",
    atMm: { x: 2_000, y: 0, z },
    sizeMm: { x: 120, y: 40, z: 150 },
    openBelowMm: 0,
    spec: { kind: "ventedLoop", dropKPa: 1, atLpm: 10 },
  });
  const low = (z: number) => evaluate(withFitting(loop(z))).findings.find(({ code }) => code === "loopLow");
  expect(low(line - 200)).toMatchObject({ severity: "must" });
  expect(low(line + 700)).toBeUndefined();
});

test("a sink may run overboard through a fitting: it fills no tank and nothing falls on the ground", () => {
  const fixture = otter.fixtures[0]!;
  const piece = fitting(otter.rig.waterlineZMm! + 80);
  const design: Design = {
    ...withFitting(piece),
    lines: lines.map((line) =>
      line.kind === "drain" && line.fromFixture === fixture.id
        ? { ...line, to: { kind: "overboard" as const, gearId: piece.id }, bendsMm: [] }
        : line,
    ),
  };
  expect(parseDesign(design)).toMatchObject({ ok: true });
  const evaluation = evaluate(design);
  expect(evaluation.drains.find(({ fixtureId }) => fixtureId === fixture.id)!.tankId).toBeNull();
  expect(evaluation.findings.map(({ code }) => code)).not.toContain("endsOnGround");
});

test("the own saw is the smallest that cuts the hole; what it is over goes into sealant", () => {
  const hole = { lengthMm: 44, widthMm: 44, thicknessMm: 40 };
  // by hand: a ring from 44 to 48 mm is 289.0 mm², through 40 mm 11.6 mL
  const fit = chooseOwnSaw(hole, [60, 48, 40])!;
  expect(fit).toMatchObject({ sawMm: 48, overMm: 4, isFit: true });
  expect(fit.moreSealantMl).toBeCloseTo(11.56, 2);
  expect(chooseOwnSaw(hole, [40, 43.9])).toBeNull();
  expect(chooseOwnSaw(hole, [])).toBeNull();
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 150, noNaN: true }),
      fc.array(fc.double({ min: 10, max: 160, noNaN: true }), { maxLength: 8 }),
      (width, own) => {
        const found = chooseOwnSaw({ lengthMm: width, widthMm: width, thicknessMm: 20 }, own);
        if (found === null) return expect(own.every((saw) => saw < width)).toBe(true);
        expect(found.sawMm).toBeGreaterThanOrEqual(width - 1e-9);
        expect(own.some((saw) => saw >= width && saw < found.sawMm)).toBe(false);
        expect(found.moreSealantMl).toBeGreaterThanOrEqual(-1e-9);
        expect(found.isFit).toBe(found.overMm <= MOST_OVER_MM);
      },
    ),
  );
});
