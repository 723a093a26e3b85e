import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import { buildPutItems, withBranchVent } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { buildDrawDrain, buildRedirect, listGoals } from "../edits/drainEdits";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";
import type { FindingNumbers } from "./findings";

const MAIN = "sink-drain";

// Kranich with a basin on the far side of its sink, joined to the sink's drain the way the interface draws it.
function joinBasin(...ops: EditOp[]): Design {
  const basin = {
    id: "basin",
    name: "Basin",
    kind: "basin",
    outletMm: { x: 2700, y: 560, z: 640 },
    boreMm: 28.4,
    rimMm: 110,
    inflowLps: 0.07,
    volumePerUseL: 2,
    hasPlug: true,
    runsAlone: false,
  };
  const added = apply(readDemo("kranich"), [{ op: "insert", path: ["fixtures"], index: 1, value: basin }]);
  const drawn = applyEdit(added, buildDrawDrain(added, "basin", { kind: "line", lineId: MAIN })!);
  if (!drawn.ok) throw new Error(JSON.stringify(drawn.faults));
  return apply(drawn.design, ops);
}

function apply(design: Design, ops: readonly EditOp[]): Design {
  const outcome = applyEdit(design, { code: "change", at: { kind: "rig" }, ops });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

const branchOf = (design: Design) => design.lines.find((l): l is Drain => l.kind === "drain" && l.id !== MAIN)!;
const listCodes = (design: Design): FindingNumbers["code"][] => evaluate(design).findings.map((f) => f.code);

test("a drain drawn to another drain ends in it, by a wye, at a bend of it", () => {
  const design = joinBasin();
  const { to } = branchOf(design);
  expect(to).toMatchObject({ kind: "junction", lineId: MAIN, fitting: "wye" });
  const [main, branch] = evaluate(design).drains;
  expect(branch!.nodesMm.at(-1)).toEqual(main!.nodesMm.at(-1));
  expect(branch!.legs.length).toBeGreaterThan(branch!.ownLegs);
  expect(branch!.level.legs.slice(0, branch!.ownLegs).every((leg) => leg.inHandMm > 0)).toBe(true);
});

test("a drain is never offered an end that would lead back to itself", () => {
  const design = joinBasin();
  const branch = branchOf(design);
  const lines = (id: string) => listGoals(design, id).flatMap((goal) => (goal.kind === "line" ? [goal.lineId] : []));
  expect(lines(MAIN)).toEqual([]);
  expect(lines(branch.id)).toEqual([MAIN]);
});

test("let end at an inlet again, the branch has a way of its own", () => {
  const design = joinBasin();
  const goal = listGoals(design, branchOf(design).id).find((g) => g.kind === "inlet")!;
  const outcome = applyEdit(design, buildRedirect(design, branchOf(design).id, goal)!);
  if (!outcome.ok) throw new Error();
  expect(branchOf(outcome.design).to).toEqual(goal);
});

// The lying part of the sink's drain runs toward the tank; a branch is laid to come in along it, square to it, or against it.
function layBranch(fromMm: { x: number; y: number; z: number }, fitting: "wye" | "tee"): Design {
  const design = joinBasin();
  const { id, to } = branchOf(design);
  const main = design.lines.find((l) => l.id === MAIN) as Drain;
  const bend = main.bendsMm.length - 1;
  const at = main.bendsMm[bend]!;
  const near = { x: at.x + fromMm.x, y: at.y + fromMm.y, z: at.z + fromMm.z };
  return apply(design, [
    { op: "set", path: ["lines", id, "to"], value: { ...to, node: at.id, fitting } },
    { op: "set", path: ["lines", id, "bendsMm"], value: [near] },
  ]);
}

const along = (design: Design): { x: number; y: number } => {
  const leg = evaluate(design).drains[0]!.legs.at(-1)!;
  return { x: (leg.to.x - leg.from.x) / leg.planLengthMm, y: (leg.to.y - leg.from.y) / leg.planLengthMm };
};

test("a branch against the flow is said, with its angle; along it and square to it are not", () => {
  const way = along(readDemo("kranich"));
  const withIt = layBranch({ x: -200 * way.x, y: -200 * way.y, z: 30 }, "wye");
  const square = layBranch({ x: -200 * way.y, y: 200 * way.x, z: 30 }, "wye");
  const against = layBranch({ x: 200 * way.x, y: 200 * way.y, z: 30 }, "wye");
  expect(listCodes(withIt)).not.toContain("branchAgainstFlow");
  expect(listCodes(square)).not.toContain("branchAgainstFlow");
  const finding = evaluate(against).findings.find((f) => f.code === "branchAgainstFlow")!;
  expect(finding).toMatchObject({ severity: "must" });
  expect(finding.code === "branchAgainstFlow" && finding.angleDeg).toBeCloseTo(180, 6);
});

test("a tee into a lying pipe is said, and a wye settles it", () => {
  const way = along(readDemo("kranich"));
  const design = layBranch({ x: -200 * way.y, y: 200 * way.x, z: 30 }, "tee");
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find((f) => f.code === "teeOnTheFlat")!;
  const [remedy] = proposeRemedies(design, evaluation, finding);
  expect(remedy!.edit.code).toBe("fitWye");
});

test("more water than the shared pipe takes comes up at the lowest fixture; less does not", () => {
  const strong = joinBasin({ op: "set", path: ["fixtures", "sink", "inflowLps"], value: 3 });
  const flooded = evaluate(strong).findings.find((f) => f.code === "floodedByOthers");
  expect(flooded).toMatchObject({ at: { kind: "fixture", id: "sink" } });
  expect(listCodes(joinBasin())).not.toContain("floodedByOthers");
});

test("a shared pipe that runs too full sucks the other trap, until that one has air of its own", () => {
  const design = joinBasin({ op: "set", path: ["fixtures", "sink", "inflowLps"], value: 1.2 });
  const { id } = branchOf(design);
  const isSiphoned = (d: Design) =>
    evaluate(d).findings.some((f) => f.code === "siphonedByOthers" && f.at.kind === "trap" && f.at.lineId === id);
  expect(isSiphoned(design)).toBe(true);
  const vented = apply(design, [
    buildPutItems(branchOf(design), { branchVent: { kind: "admittanceValve", fromWeirMm: 40 } }),
  ]);
  expect(isSiphoned(vented)).toBe(false);
});

test("air on the drain that is joined shortens the way from the other trap to it", () => {
  const design = joinBasin();
  const armOf = (d: Design) => evaluate(d).drains.find((drain) => drain.lineId === branchOf(d).id)!.arm.lengthMm;
  const own = evaluate(design).drains.find((drain) => drain.lineId === branchOf(design).id)!;
  const toJunction = own.legs.slice(0, own.ownLegs).reduce((sum, leg) => sum + leg.lengthMm, 0);
  const main = design.lines.find((line): line is Drain => line.id === MAIN && line.kind === "drain")!;
  const vented = apply(design, [buildPutItems(main, { branchVent: { kind: "admittanceValve", fromWeirMm: 0 } })]);
  expect(armOf(vented)).toBeCloseTo(toJunction, 6);
  expect(
    armOf({ ...design, lines: design.lines.map((l) => (l.kind === "drain" ? withBranchVent(l, null) : l)) }),
  ).toBeGreaterThan(toJunction);
});
