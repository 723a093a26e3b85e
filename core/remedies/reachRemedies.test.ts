import { readDemo } from "@/tests/demoRigs";
import { addItem, changeTrap } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { buildPutItems, findTrap } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { buildRedirect, type Goal } from "../edits/drainEdits";
import { buildAddFixture } from "../edits/fixtureEdits";
import { evaluate } from "../evaluate/evaluate";
import type { Finding } from "../evaluate/findings";
import { proposeRemedies } from "./proposeRemedies";
import { proposeWaterless } from "./trapRemedies";

const kranich = readDemo("kranich");
const drain = kranich.lines.find((line) => line.kind === "drain")!;
const vent = kranich.lines.find((line) => line.kind === "vent")!;
const tank = kranich.tanks[0]!;
const set = (path: (string | number)[], value: unknown): EditOp => ({ op: "set", path, value });
const change = (design: Design, ops: readonly EditOp[]): Design =>
  mustApply(design, { code: "change", at: { kind: "rig" }, ops });

const bends = drain.kind === "drain" ? drain.bendsMm : [];
const last = bends.at(-1)!;
const inlet = tank.ports.find(({ kind }) => kind === "inlet")!;
const end = vent.kind === "vent" ? vent.pointsMm.at(-1)! : last;
const block = (at: { x: number; y: number; z: number }, kind: string): EditOp => ({
  op: "insert",
  path: ["obstacles"],
  index: 0,
  value: { id: "block", name: "Block", kind, lengthMm: 60, widthMm: 60, heightMm: 60, atMm: at },
});
const middle = {
  x: (last.x + tank.atMm.x + inlet.atMm.x) / 2,
  y: (last.y + tank.atMm.y + inlet.atMm.y) / 2,
  z: last.z,
};

// each breaks one thing on a sample with nothing against it; something simple must mend it
const CASES: readonly [Finding["code"], () => Design][] = [
  [
    "legHitsObstacle",
    () => change(kranich, [block({ x: middle.x - 30, y: middle.y + 10, z: middle.z - 30 }, "crossMember")]),
  ],
  [
    "legHitsObstacle",
    () => change(kranich, [block({ x: middle.x - 30, y: middle.y + 60, z: middle.z - 30 }, "exhaust")]),
  ],
  ["narrowsDownstream", () => change(kranich, [set(["tanks", tank.id, "ports", inlet.id, "boreMm"], 25)])],
  [
    "portCrowded",
    () => change(kranich, [{ op: "insert", path: ["lines"], index: 1, value: { ...drain, id: "twin", name: "Twin" } }]),
  ],
  ["narrowsDownstream", () => change(kranich, [set(["fixtures", "sink", "boreMm"], 38)])],
  [
    "narrowsDownstream",
    () =>
      change(kranich, [
        addItem(drain, {
          kind: "pipeChange",
          node: "n2",
          joint: "hoseBarb",
          pipe: { innerMm: 25, outerMm: 32, manningN: 0.009 },
        }),
      ]),
  ],
  [
    "urineInGrey",
    () => mustApply(readDemo("lesesaal"), buildAddFixture(readDemo("lesesaal"), "urineDiverter", "Diverter")),
  ],
  ["holeSmall", () => change(kranich, [addItem(drain, { kind: "hole", node: "n1", nth: 0, diameterMm: 36 })])],
  ["sealSlops", () => change(kranich, [changeTrap(drain, { spanMm: 160 })])],
  ["ventEndNear", () => change(kranich, [block({ x: end.x + 200, y: end.y - 30, z: end.z }, "window")])],
  ["ventEndNear", () => change(kranich, [block({ x: end.x + 200, y: end.y - 30, z: end.z }, "exhaust")])],
  [
    "trapInFloor",
    () =>
      change(kranich, [
        set(["fixtures", "sink", "outletMm", "z"], 140),
        set(["lines", drain.id, "bendsMm"], [{ ...bends[0]!, z: 40 }, ...bends.slice(1)]),
      ]),
  ],
  [
    "trapInFloor",
    () =>
      change(kranich, [
        set(["fixtures", "sink", "outletMm", "z"], 40),
        set(["lines", drain.id, "bendsMm"], [{ ...bends[0]!, z: -95 }]),
      ]),
  ],
  ["useOverfillsTank", () => change(kranich, [set(["fixtures", "sink", "volumePerUseL"], 290)])],
  ["fixtureOutside", () => change(kranich, [set(["fixtures", "sink", "outletMm", "y"], 4000)])],
  [
    "ventInRoom",
    () =>
      change(readDemo("lesesaal"), [
        set(
          ["lines", "grey-vent", "pointsMm"],
          [
            { x: 1500, y: 100, z: 100 },
            { x: 1500, y: 100, z: 1900 },
          ],
        ),
      ]),
  ],
  ["legBarely", () => change(kranich, [set(["rules", "limits", "layTolerance"], 90)])],
  [
    "trapArmLong",
    () => change(kranich, [buildPutItems(drain, { branchVent: { kind: "admittanceValve", fromWeirMm: 1200 } })]),
  ],
];

test.each(CASES)("%s is settled by a remedy that was tried", (code, build) => {
  const design = build();
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find((f) => f.code === code);
  expect(finding?.code).toBe(code);
  const remedies = proposeRemedies(design, evaluation, finding!);
  expect(remedies.length).toBeGreaterThan(0);
  for (const { edit } of remedies) {
    const after = evaluate(mustApply(design, edit));
    // a trap that goes through the floor and leaves it below is a note
    expect(after.findings.filter(({ id, severity }) => id === finding!.id && severity === finding!.severity)).toEqual(
      [],
    );
  }
});

test("a breather that goes straight into another's tee has nothing to lift, and nothing breaks", () => {
  const second = { ...tank, id: "second", name: "Second", atMm: { ...tank.atMm, z: tank.atMm.z + 20, x: 200 } };
  const teed = {
    ...vent,
    id: "teed",
    name: "Teed",
    fromTank: "second",
    pointsMm: [],
    to: { kind: "tee", lineId: vent.id, node: vent.pointsMm[0]!.id },
  };
  const design = change(kranich, [
    {
      op: "insert",
      path: ["tanks"],
      index: 1,
      value: { ...second, ports: second.ports.filter(({ kind }) => kind !== "inlet") },
    },
    { op: "insert", path: ["lines"], index: 2, value: teed },
    set(["lines", vent.id, "pointsMm"], [{ x: 900, y: 700, z: -500 }]),
  ]);
  const evaluation = evaluate(design);
  expect(evaluation.findings.some((f) => f.code === "ventEndsLow" && f.at.kind === "line" && f.at.id === "teed")).toBe(
    true,
  );
  for (const finding of evaluation.findings) expect(() => proposeRemedies(design, evaluation, finding)).not.toThrow();
});

test("of two tanks whose inlets have one name only the drains of the crowded one are led apart", () => {
  const other = { ...tank, id: "other", name: "Other", atMm: { ...tank.atMm, x: tank.atMm.x - 900 } };
  const line = drain as Drain;
  const to = { kind: "inlet" as const, tankId: "other", portId: inlet.id };
  const lines = [{ ...line, id: "far", name: "Far", to }, ...kranich.lines, { ...line, id: "twin", name: "Twin" }];
  const design: Design = { ...kranich, tanks: [other, ...kranich.tanks], lines };
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find(({ code }) => code === "portCrowded");
  expect(finding).toMatchObject({ at: { tankId: tank.id }, names: [line.name, "Twin"] });
  const [own] = proposeRemedies(design, evaluation, finding!);
  expect(own!.edit).toMatchObject({ code: "ownInlet", at: { id: "twin" } });
  const after = mustApply(design, own!.edit);
  expect(evaluate(after).findings.map(({ code }) => code)).not.toContain("portCrowded");
});

test("a second drain led to a taken inlet gets a hole of its own, and lies beside the first on its way there", () => {
  const added = mustApply(kranich, buildAddFixture(kranich, "basin", "Basin"));
  const second = added.lines.find((line): line is Drain => line.kind === "drain" && line.id !== drain.id)!;
  const taken: Goal = { kind: "inlet", tankId: tank.id, portId: inlet.id };
  const design = mustApply(added, buildRedirect(added, second.id, taken)!);
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find(({ code }) => code === "portCrowded")!;
  const own = proposeRemedies(design, evaluation, finding).find(({ edit }) => edit.code === "ownInlet");
  const after = evaluate(mustApply(design, own!.edit));
  expect(after.findings.map(({ code }) => code)).not.toContain("pipesClash");
});

test("a trap hung under the floor leaves it by its whole bore and can be opened", () => {
  const design = change(kranich, [
    set(["fixtures", "sink", "outletMm", "z"], 40),
    set(["lines", drain.id, "bendsMm"], [{ ...bends[0]!, z: -95 }]),
  ]);
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find(({ code }) => code === "trapInFloor")!;
  const remedies = proposeRemedies(design, evaluation, finding);
  const hung = remedies.find(({ edit }) => edit.code === "hangTrap")!;
  const after = mustApply(design, hung.edit);
  const trap = findTrap(after.lines.find((line): line is Drain => line.id === drain.id)!)!;
  const was = findTrap(design.lines.find((line): line is Drain => line.id === drain.id)!)!;
  // floor of 44 mm, bore of 36.4 mm
  expect(trap).toEqual({ ...was, dropMm: 121, hasCleanout: true });
  expect(hung.byMm).toBe(121 - was.dropMm);
  expect(evaluate(after).findings.find(({ id }) => id === finding.id)?.severity).toBe("note");
});

test("a membrane valve in place of a trap that hangs under the floor goes up with its fixture, and stays a membrane valve", () => {
  const design = change(kranich, [
    set(["fixtures", "sink", "outletMm", "z"], 40),
    buildPutItems(drain, { trap: { ...findTrap(drain)!, dropMm: 121, hasCleanout: true } }),
  ]);
  const hung = design.lines.find((line): line is Drain => line.id === drain.id)!;
  const remedies = proposeWaterless(design, hung);
  expect(remedies).toHaveLength(2);
  for (const { edit, byMm } of remedies) {
    const after = mustApply(design, edit);
    expect(findTrap(after.lines.find((line): line is Drain => line.id === drain.id)!)).toEqual(USUAL_TRAPS.membrane);
    expect(after.fixtures[0]!.outletMm.z).toBe(40 + (byMm ?? 0));
  }
});
