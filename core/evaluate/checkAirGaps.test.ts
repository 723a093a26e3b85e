import { readDemo } from "@/tests/demoRigs";
import { findAll, withLimit } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { computeAirGapMm } from "../gear/airGap";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

const camp = readDemo("lesesaal-loop");
const gap = camp.gear.find(({ spec }) => spec.kind === "airGap")!;
const spout = camp.lines.find(
  (line): line is Hose =>
    line.kind === "hose" &&
    [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === gap.id && end.port === "in"),
)!;
const withGap = (gapMm: number, design: Design = camp): Design => ({
  ...design,
  gear: design.gear.map((one) => (one.id === gap.id ? ({ ...one, spec: { ...one.spec, gapMm } } as Gear) : one)),
});
const level = { noseDownDeg: 0, noseUpDeg: 0, leftLowDeg: 0, rightLowDeg: 0 };
const flat: Design = { ...camp, rig: { ...camp.rig, envelope: level, standings: [] } };
const withSpout = (innerMm: number, design: Design): Design => ({
  ...design,
  lines: design.lines.map((line) =>
    line.id === spout.id ? { ...spout, pipe: { ...spout.pipe, innerMm, outerMm: innerMm + 3 } } : line,
  ),
});

// International Plumbing Code and ASME A112.1.2, from memory: twice the bore and at least 25 mm; the tilt is geometry.
test("a spout of 12.7 mm, 250 mm from where it runs over, at 5° falls 47.3 mm", () => {
  expect(computeAirGapMm(12.7, 250, Math.tan((5 * Math.PI) / 180), 25)).toBeCloseTo(47.3, 1);
  expect(computeAirGapMm(10, 250, 0, 25)).toBe(25);
  expect(computeAirGapMm(20, 0, 1, 25)).toBe(40);
});

test("an air gap is told when it is lower than twice its spout or 25 mm, level and on a slope", () => {
  for (const name of ["lesesaal-loop", "otter-heads"] as const)
    expect(findAll(readDemo(name), "airGapLow")).toEqual([]);
  const { innerMm } = spout.pipe;
  const least = Math.max(25, 2 * innerMm);
  expect(findAll(withGap(least, flat), "airGapLow")).toEqual([]);
  expect(findAll(withGap(least - 1, flat), "airGapLow")).toMatchObject([
    { severity: "must", leastMm: least, at: { id: gap.id } },
  ]);
  expect(findAll(withGap(0, flat), "airGapLow")).toHaveLength(1);
  // a narrow spout still falls 25 mm, or what the builder asks for
  expect(findAll(withGap(25, withSpout(8, flat)), "airGapLow")).toEqual([]);
  expect(findAll(withGap(24, withSpout(8, flat)), "airGapLow")).toHaveLength(1);
  expect(findAll(withLimit(withGap(39, withSpout(8, flat)), "airGap", 40), "airGapLow")).toHaveLength(1);
  // 5° to one side lift the water at the rim of a funnel 60 mm wide by 2.6 mm
  const leaning: Design = { ...flat, rig: { ...flat.rig, envelope: { ...level, leftLowDeg: 5 } } };
  const half = Math.max(gap.sizeMm.x, gap.sizeMm.y) / 2;
  const raised = least + half * Math.tan((5 * Math.PI) / 180);
  expect(findAll(withGap(Math.floor(raised), leaning), "airGapLow")[0]!.leastMm).toBeCloseTo(raised, 6);
  expect(findAll(withGap(Math.ceil(raised), leaning), "airGapLow")).toEqual([]);
});

test("one press raises the spout as far as is needed", () => {
  const low = withGap(5);
  const evaluation = evaluate(low);
  const finding = evaluation.findings.find(({ code }) => code === "airGapLow")!;
  const [remedy] = proposeRemedies(low, evaluation, finding);
  const outcome = applyEdit(low, remedy!.edit);
  expect(outcome.ok && findAll(outcome.design, "airGapLow")).toEqual([]);
});
