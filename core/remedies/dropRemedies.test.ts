import "../evaluate/fitted";
import { readDemo } from "@/tests/demoRigs";
import { findAll, withLimit } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { listPoints } from "../design/linePoints";
import type { Drain, Vent } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildDrainPath } from "../falls/drainPath";
import { toCodeBoreMm } from "../parts/pipes";
import { lookUpLimit } from "../rules/lookUpLimit";
import { proposeDropInLeg, proposeUprightLeg } from "./dropRemedies";
import { listCandidates } from "./proposals";
import { proposeRemedies } from "./proposeRemedies";

const kranich = readDemo("kranich");
const lesesaal = readDemo("lesesaal");

/** The drain goes through the floor at a slant: its last bend drawn aside. */
function slanting(design: Design, byMm: number): Design {
  const drain = design.lines.find((line): line is Drain => line.kind === "drain")!;
  const last = drain.bendsMm.length - 1;
  const x = drain.bendsMm[last]!.x + byMm;
  return mustApply(design, {
    code: "change",
    at: { kind: "rig" },
    ops: [{ op: "set", path: ["lines", drain.id, "bendsMm", last, "x"], value: x }],
  });
}

const SLANTED = [-900, -600, -300, 300, 600, 900].flatMap((byMm) =>
  (["kranich", "lesesaal", "puppenwagen"] as const).map((name) => slanting(readDemo(name), byMm)),
);

test.each([
  ["passageSlants", SLANTED],
  [
    "legTooSteep",
    [22, 26, 30, 40].flatMap((most) => [kranich, lesesaal].map((one) => withLimit(one, "maxFall", most))),
  ],
] as const)(
  "%s: a leg is laid flat and taken straight down by one press; every point that was there stays",
  (code, designs) => {
    let offered = 0;
    for (const design of designs) {
      const evaluation = evaluate(design, LEVEL);
      for (const finding of findAll(design, code)) {
        for (const { edit, byMm } of proposeRemedies(design, evaluation, finding)) {
          expect(edit.code).toBe("takeDown");
          const after = mustApply(design, edit);
          const { lineId } = edit.at as { readonly lineId: string };
          const [was, is] = [design, after].map((one) => listPoints(one.lines.find(({ id }) => id === lineId)));
          expect(is).toHaveLength(was!.length + 1);
          for (const point of was!) expect(is).toContainEqual(point);
          // straight down by what is said
          const line = after.lines.find(({ id }) => id === lineId)!;
          if (line.kind !== "drain") continue;
          const down = buildDrainPath(after, line).ownLegs.find(
            ({ kind, planLengthMm, from, to }) =>
              kind === "drop" && planLengthMm < 1 && Math.abs(from.z - to.z - byMm!) <= 1,
          );
          expect(down).toBeDefined();
          offered += 1;
        }
      }
    }
    expect(offered).toBeGreaterThan(2);
  },
);

test("a breather that goes slanting through the floor is led flat, then straight up, and has no dip", () => {
  const vent = lesesaal.lines.find((line): line is Vent => line.kind === "vent")!;
  const end = vent.pointsMm.at(-1)!;
  const straight: Design = {
    ...lesesaal,
    lines: lesesaal.lines.map((line) => (line.id === vent.id ? { ...vent, pointsMm: [end] } : line)),
  };
  const told = findAll(straight, "passageSlants").filter(({ at }) => "lineId" in at && at.lineId === vent.id);
  expect(told).toHaveLength(1);
  const [remedy] = proposeRemedies(straight, evaluate(straight, LEVEL), told[0]!);
  expect(remedy?.edit.code).toBe("takeDown");
  const after = mustApply(straight, remedy!.edit);
  expect(findAll(after, "passageSlants").filter(({ at }) => "lineId" in at && at.lineId === vent.id)).toEqual([]);
  expect(findAll(after, "ventDips")).toEqual([]);
});

test("the flat part falls by what the rules ask and a little more, at the lower end and at the upper; a drop has none", () => {
  const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
  const design = slanting(kranich, -600);
  const legs = buildDrainPath(design, design.lines.find((line): line is Drain => line.id === drain.id)!).ownLegs;
  for (const [index, leg] of legs.entries()) {
    const remedies = proposeDropInLeg(design, design.lines.find((line): line is Drain => line.id === drain.id)!, index);
    if (leg.kind === "drop" || leg.planLengthMm === 0) {
      expect(remedies).toEqual([]);
      continue;
    }
    const least = lookUpLimit(design.rules, "minFall", { boreMm: toCodeBoreMm(leg.pipe) }).value!;
    for (const { edit, way, byMm } of remedies) {
      const after = mustApply(design, edit).lines.find((line): line is Drain => line.id === drain.id)!;
      const point = after.bendsMm[index]!;
      const [flatFrom, flatTo] = way === "lowerEnd" ? [leg.from, point] : [point, leg.to];
      const slope = ((flatFrom.z - flatTo.z) / leg.planLengthMm) * 1000;
      expect(slope).toBeGreaterThan(least);
      expect(slope).toBeLessThan(least + 60);
      const end = way === "lowerEnd" ? leg.to : leg.from;
      expect([point.x, point.y]).toEqual([expect.closeTo(end.x, 0), expect.closeTo(end.y, 0)]);
      expect(byMm).toBeGreaterThan(0);
    }
  }
  expect(proposeDropInLeg(design, drain, 99)).toEqual([]);
});

test("of a breather that begins nowhere, or a leg that is not there, nothing is offered", () => {
  const vent = kranich.lines.find((line): line is Vent => line.kind === "vent")!;
  expect(proposeUprightLeg(kranich, vent, vent.pointsMm.length)).toEqual([]);
});

test("of falls that hold the first is offered that a hand can lay: none brings a finding that a steeper one does not", () => {
  const design = slanting(kranich, -600);
  const evaluation = evaluate(design, LEVEL);
  const known = new Set(evaluation.findings.map(({ id }) => id));
  const [finding] = findAll(design, "passageSlants");
  const [remedy] = proposeRemedies(design, evaluation, finding!);
  const judge = (edit: Edit) => {
    const outcome = applyEdit(design, edit);
    if (!outcome.ok) return null;
    const { findings } = evaluate(outcome.design, LEVEL);
    if (findings.some(({ id, severity }) => id === finding!.id || (severity === "must" && !known.has(id)))) return null;
    return findings.filter(({ id, severity }) => severity !== "note" && !known.has(id)).length;
  };
  const held = listCandidates(design, finding!).flatMap(({ edit, way }) => {
    const brought = way === remedy!.way ? judge(edit) : null;
    return brought === null ? [] : [brought];
  });
  expect(held.length).toBeGreaterThan(1);
  expect(remedy!.newFindings).toBe(Math.min(...held));
  // the flattest that holds would leave less than a hand is off by
  expect(held[0]).toBeGreaterThan(remedy!.newFindings);
});
