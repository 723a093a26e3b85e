import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import type { Gear } from "../design/gear";
import { evaluate } from "../evaluate/evaluate";
import { USUAL_GEAR } from "../gear/usualGear";
import { type Vec3, vec } from "../geometry/vec";
import { fitBest } from "./fitBest";

const put = (design: Design, atMm: Vec3, spec: Gear["spec"] = USUAL_GEAR.gauge.spec): Edit => {
  const value: Gear = { ...USUAL_GEAR[spec.kind], id: "new-piece", name: "New piece", atMm, spec };
  return {
    code: "addGear",
    at: { kind: "gear", id: value.id },
    ops: [{ op: "insert", path: ["gear"], index: design.gear.length, value }],
  };
};

const take = (design: Design, edit: Edit): Design => {
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
};

const count = (before: Design, after: Design, severity: string): number => {
  const known = new Set(evaluate(before).findings.map(({ id }) => id));
  return evaluate(after).findings.filter((one) => one.severity === severity && !known.has(one.id)).length;
};

/** Sets an inner bore of the sink's drain, and takes what holds the tank away. */
const narrow = (mm: number): Edit => ({
  code: "change",
  at: { kind: "line", id: "sink-drain" },
  ops: [{ op: "set", path: ["lines", "sink-drain", "pipe", "innerMm"], value: mm }],
});
const letGo = (tankId: string): Edit => ({
  code: "change",
  at: { kind: "tank", id: tankId },
  ops: [{ op: "set", path: ["tanks", tankId, "fixing"], value: null }],
});

test("one thing that must be settled weighs more than several one would regret", () => {
  const design = readDemo("kranich");
  const lower: Edit = {
    code: "move",
    at: { kind: "fixture", id: "sink" },
    ops: [{ op: "set", path: ["fixtures", "sink", "outletMm", "z"], value: 40 }],
  };
  const regrets: Edit = { ...letGo("grey"), ops: [...letGo("grey").ops, ...narrow(12).ops] };
  expect(count(design, take(design, lower), "must")).toBeGreaterThan(0);
  expect(count(design, take(design, regrets), "must")).toBe(0);
  expect(count(design, take(design, regrets), "should")).toBeGreaterThan(0);
  expect(fitBest(design, [lower, regrets])?.ops.slice(0, 2)).toEqual(regrets.ops);
  expect(fitBest(design, [regrets, lower])?.ops.slice(0, 2)).toEqual(regrets.ops);
});

test("of equals the first; what is refused is passed over, and where all are there is nothing", () => {
  const design = readDemo("kranich");
  const refused: Edit = { ...narrow(-3) };
  const [one, other] = [letGo("grey"), { ...letGo("grey"), code: "move" as const }];
  expect(fitBest(design, [refused, one, other])?.code).toBe("change");
  expect(fitBest(design, [refused, other, one])?.code).toBe("move");
  expect(fitBest(design, [refused])).toBeNull();
  expect(fitBest(design, [])).toBeNull();
});

test("what is told wherever a part is put lets no other way be looked at; no way is made that is not looked at", () => {
  const design = readDemo("kranich");
  const made: string[] = [];
  const way = (name: string, edit: Edit) => () => {
    made.push(name);
    return edit;
  };
  const unheld = take(design, letGo("grey"));
  expect(count(design, unheld, "should")).toBeGreaterThan(0);
  expect(fitBest(design, [() => null, way("unheld", letGo("grey")), way("narrow", narrow(12))])?.at.kind).toBe("tank");
  expect(made).toEqual(["unheld"]);
  expect(fitBest(design, [way("narrow", narrow(12)), way("unheld", letGo("grey"))])?.at.kind).toBe("tank");
  expect(made).toEqual(["unheld", "narrow", "unheld"]);
});

test("a new piece set into one that is there goes aside, and the old one stays where it is", () => {
  const design = readDemo("kranich-loop");
  for (const old of design.gear.filter(({ spec }) => spec.kind === "filter" || spec.kind === "pump")) {
    const edit = put(design, vec(old.atMm.x + 5, old.atMm.y + 5, old.atMm.z + 5), USUAL_GEAR.accumulator.spec);
    const after = take(design, fitBest(design, [edit])!);
    for (const piece of design.gear) expect(after.gear.find(({ id }) => id === piece.id)).toEqual(piece);
    expect(after.gear).toHaveLength(design.gear.length + 1);
  }
});

test("it tells how far it is, on and on, and never past the end", () => {
  const design = readDemo("kranich");
  const told: number[] = [];
  fitBest(design, [narrow(14), narrow(12), narrow(10)], (share) => told.push(share));
  expect(told.length).toBeGreaterThanOrEqual(3);
  expect(told).toEqual([...told].sort((a, b) => a - b));
  expect(told[0]).toBeGreaterThan(0);
  expect(told.at(-1)).toBeLessThanOrEqual(1);
});
