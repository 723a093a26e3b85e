import { FURNISHED, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { withBranchVent } from "../design/lineItems";
import { evaluate } from "../evaluate/evaluate";
import { buildMendAlike } from "./mendAlike";
import { proposeRemedies } from "./proposeRemedies";

// The furnished rig as it was before its branches were given air.
const airless = (): Design => {
  const design = readDemo(FURNISHED);
  return {
    ...design,
    lines: design.lines.map((line) => (line.kind === "drain" ? withBranchVent(line, null) : line)),
  };
};
const listArms = (design: Design) =>
  evaluate(design)
    .findings.filter(({ code }) => code === "trapArmLong")
    .map(({ id }) => id);

test("every trap that is far from air is given it in one step, and nothing new is a must", () => {
  const design = airless();
  const ids = listArms(design);
  expect(ids.length).toBeGreaterThan(9);
  const mended = buildMendAlike(design, evaluate(design).attitude, ids)!;
  expect(mended.settled).toBe(ids.length);
  const after = mustApply(design, mended.edit);
  expect(listArms(after)).toEqual([]);
  const musts = (of: Design) => evaluate(of).findings.filter(({ severity }) => severity === "must").length;
  expect(musts(after)).toBe(musts(design));
});

test("what is not named is left as it was; one alone is no case for it", () => {
  const design = airless();
  const ids = listArms(design);
  const after = mustApply(design, buildMendAlike(design, evaluate(design).attitude, ids.slice(0, 3))!.edit);
  expect(listArms(after)).toEqual(ids.slice(3));
  expect(buildMendAlike(design, evaluate(design).attitude, ids.slice(0, 1))).toBeNull();
  expect(buildMendAlike(design, evaluate(design).attitude, ["gone", "lost"])).toBeNull();
});

test("of several kinds of remedy the one that settles most is taken: traps in the floor, of which only some have the fall to hang under it", () => {
  const design = readDemo(FURNISHED);
  const evaluation = evaluate(design);
  const told = evaluation.findings.filter(({ code, severity }) => code === "trapInFloor" && severity === "should");
  expect(told.length).toBeGreaterThan(2);
  const mended = buildMendAlike(
    design,
    evaluation.attitude,
    told.map(({ id }) => id),
  )!;
  const left = evaluate(mustApply(design, mended.edit)).findings.filter(
    ({ code, severity }) => code === "trapInFloor" && severity === "should",
  );
  expect(mended.settled).toBe(told.length - left.length);
  // by each kind that is offered for the first, one after the other
  const kinds = new Set(proposeRemedies(design, evaluation, told[0]!).map(({ edit }) => edit.code));
  expect(kinds.size).toBeGreaterThan(1);
  for (const kind of kinds) {
    let now = design;
    let settled = 0;
    for (const { id } of told) {
      const finding = evaluate(now).findings.find((one) => one.id === id)!;
      const remedy = proposeRemedies(now, evaluate(now), finding).find(({ edit }) => edit.code === kind);
      if (!remedy) continue;
      now = mustApply(now, remedy.edit);
      settled += 1;
    }
    expect(settled).toBeLessThanOrEqual(mended.settled);
  }
});
