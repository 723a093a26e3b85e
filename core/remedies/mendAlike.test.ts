import { FURNISHED, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { withBranchVent } from "../design/lineItems";
import { evaluate } from "../evaluate/evaluate";
import { buildMendAlike } from "./mendAlike";

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
