import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import type { FixtureKind } from "../design/plumbing";
import { buildFitSump } from "../edits/fitSump";
import { evaluate } from "./evaluate";

// A fixture of the rig with a loop, led into a sump whose pump sends to the tank of a water.
function pump(kind: FixtureKind, into: "grey" | "loop"): Design {
  const design = readDemo("kranich-loop");
  const fixture = design.fixtures.find((one) => one.kind === kind)!;
  const edit = buildFitSump(design, { fixtureId: fixture.id, goal: "tank" })!;
  const port = {
    id: "from-sump",
    kind: "fill",
    atMm: { x: 60, y: 60, z: 100 },
    boreMm: 25,
    thread: null,
    fittingMm: 0,
    valve: null,
  };
  const tank = design.tanks.find(({ holds }) => holds === into)!;
  const hose = edit.ops.flatMap((op) =>
    op.op === "insert" && (op.value as { name?: string }).name === "Sump hose" ? [(op.value as { id: string }).id] : [],
  )[0]!;
  const ops: EditOp[] = [
    ...edit.ops,
    { op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value: port },
    { op: "set", path: ["lines", hose, "to"], value: { kind: "tank", tankId: tank.id, portId: port.id } },
  ];
  const outcome = applyEdit(design, { ...edit, ops });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

const tellsLoop = (design: Design) => evaluate(design).findings.some(({ code }) => code === "loopFouled");

test("a sink that is pumped up into a shower's loop fouls it as one that runs there", () => {
  expect(tellsLoop(pump("kitchenSink", "loop"))).toBe(true);
  expect(tellsLoop(pump("kitchenSink", "grey"))).toBe(false);
});

test("the shower's own water may be pumped round", () => {
  expect(tellsLoop(pump("showerTray", "loop"))).toBe(false);
});

test("a hose that comes off a sump is a note: no valve may stand before its float pump", () => {
  const design = pump("kitchenSink", "grey");
  const sump = design.gear.find(({ spec }) => spec.kind === "sump")!;
  const told = evaluate(design).findings.filter(
    ({ code, at }) => code === "hoseComesOff" && "id" in at && at.id === sump.id,
  );
  expect(told.map(({ severity }) => severity)).toEqual(["note"]);
});
