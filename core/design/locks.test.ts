import { readDemo } from "@/tests/demoRigs";
import type { Design } from "./design";
import { applyEdit } from "./edit";
import type { EditOp } from "./editOps";
import { buildMove } from "./moves";

const kranich = readDemo("kranich");
const change = (design: Design, ...ops: EditOp[]) => applyEdit(design, { code: "change", at: { kind: "rig" }, ops });
const lock = (...path: (string | number)[]): Design => {
  const outcome = change(kranich, { op: "set", path: [...path, "locked"], value: true });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
};

const MOVES = [
  ["fixture", ["fixtures", "sink"], { kind: "fixture", id: "sink" }],
  ["tank", ["tanks", "grey"], { kind: "tank", id: "grey" }],
  ["obstacle", ["obstacles", "fuel"], { kind: "obstacle", id: "fuel" }],
  ["drain", ["lines", "sink-drain"], { kind: "bend", lineId: "sink-drain", index: 0 }],
  ["breather", ["lines", "grey-vent"], { kind: "bend", lineId: "grey-vent", index: 0 }],
] as const;

test.each(MOVES)("a locked %s stays where it is, and moves again when it is let go", (_, path, part) => {
  const locked = lock(...path);
  const edit = buildMove(locked, part, { x: 1000, y: 100, z: -100 })!;
  const refused = applyEdit(locked, edit);
  expect(refused).toMatchObject({ ok: false, faults: [{ code: "locked" }] });
  const open = change(locked, { op: "remove", path: [...path, "locked"] });
  expect(open.ok && applyEdit(open.design, edit).ok).toBe(true);
});

test("a locked part may be renamed and measured anew, but not taken away", () => {
  const locked = lock("fixtures", "sink");
  expect(change(locked, { op: "set", path: ["fixtures", "sink", "name"], value: "Big sink" }).ok).toBe(true);
  expect(change(locked, { op: "set", path: ["fixtures", "sink", "rimMm"], value: 140 }).ok).toBe(true);
  const away: EditOp[] = [
    { op: "remove", path: ["lines", "sink-drain"] },
    { op: "remove", path: ["fixtures", "sink"] },
  ];
  expect(change(locked, ...away)).toMatchObject({ ok: false, faults: [{ code: "locked", name: "Kitchen sink" }] });
});
