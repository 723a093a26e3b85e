import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { buildAsBuilt, findMeasured, listMeasurable } from "../build/asBuilt";
import { listSteps } from "../build/steps";
import { evaluate } from "../evaluate/evaluate";
import type { MeasuredPart } from "../record/record";
import { takeFingerprint } from "../trials/fingerprint";
import type { Design } from "./design";
import { applyEdit } from "./edit";
import type { EditOp } from "./editOps";
import { listPoints } from "./linePoints";
import { buildMove, findPlaceMm } from "./moves";
import { settleNodes, toLegKey } from "./nodes";
import { parseDesign } from "./parseDesign";

const kranich = readDemo("kranich");
const DRAIN = "sink-drain";

function change(design: Design, ...ops: EditOp[]): Design {
  const outcome = applyEdit(design, { code: "change", at: { kind: "line", id: DRAIN }, ops });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}
const bend = (x: number) => ({ x, y: 385, z: 200 });
const insert = (index: number, x = 2300): EditOp => ({
  op: "insert",
  path: ["lines", DRAIN, "bendsMm"],
  index,
  value: bend(x),
});
const idsOf = (design: Design, lineId = DRAIN) =>
  listPoints(design.lines.find(({ id }) => id === lineId)).map(({ id }) => id);

test("what was measured at a bend stays with it when one is put in before it, and is lost when it is taken out", () => {
  const parts = listMeasurable(kranich).filter((part) => part.kind === "bend" && part.lineId === DRAIN);
  const measured: MeasuredPart[] = [{ part: parts[1]!, offMm: { x: 0, y: 0, z: -7 }, on: "2026-05-01" }];
  const longer = change(kranich, insert(0));
  const { design, lost } = buildAsBuilt(longer, measured);
  expect(lost).toEqual([]);
  expect(findMeasured(longer, parts[1]!)).toMatchObject({ index: 2 });
  const [before, after] = [longer, design].map((one) => listPoints(one.lines.find(({ id }) => id === DRAIN)));
  expect(after!.map((p, i) => Math.round(p.z - before![i]!.z))).toEqual([0, 0, -7]);
  const shorter = change(kranich, { op: "remove", path: ["lines", DRAIN, "bendsMm", 1] });
  expect(buildAsBuilt(shorter, measured).lost).toHaveLength(1);
  // a record that knew bends by their place is read as the node that stood there
  const { node: _node, ...old } = parts[1] as { node?: string } & (typeof parts)[number];
  expect(findMeasured(longer, old as (typeof parts)[number])).toMatchObject({ index: 2 });
});

test("a hole that is ticked off stays ticked when a bend is put in before its leg", () => {
  const holesOf = (design: Design) =>
    listSteps(design, evaluate(design)).flatMap(({ id, kind }) => (kind === "drillHole" ? [id] : []));
  const before = holesOf(kranich).filter((id) => id.includes(DRAIN));
  expect(before.length).toBeGreaterThan(0);
  expect(holesOf(change(kranich, insert(0)))).toEqual(expect.arrayContaining(before));
});

test("legs of older files keep the keys they had, and so do the words trials were held on", () => {
  const line = kranich.lines.find(({ id }) => id === DRAIN)!;
  expect([0, 1, 2].map((leg) => toLegKey(line, leg))).toEqual(["0", "1", "2"]);
  const bare = kranich.lines.map((one) =>
    one.kind === "drain"
      ? { ...one, bendsMm: one.bendsMm.map(({ x, y, z }) => ({ x, y, z })) }
      : { ...one, pointsMm: one.pointsMm.map(({ x, y, z }) => ({ x, y, z })) },
  );
  for (const trial of [`trialDrain:${DRAIN}`, "trialDump:grey", "trialHoses:all"]) {
    expect(takeFingerprint({ ...kranich, lines: bare } as unknown as Design, trial)).toBe(
      takeFingerprint(kranich, trial),
    );
  }
});

test("while one point is moved the others stay the same objects, so that what is remembered of their legs stays", () => {
  const before = listPoints(kranich.lines.find(({ id }) => id === DRAIN));
  const edit = buildMove(kranich, { kind: "bend", lineId: DRAIN, index: 1 }, { x: 2280, y: 380, z: -95 })!;
  const after = listPoints(change(kranich, ...edit.ops).lines.find(({ id }) => id === DRAIN));
  expect(after.map((node, i) => node === before[i])).toEqual([true, false]);
  expect(after.map(({ id }) => id)).toEqual(["n1", "n2"]);
});

test("a bend that is taken out and put in elsewhere is another one", () => {
  const out = change(kranich, { op: "remove", path: ["lines", DRAIN, "bendsMm", 1] });
  const ids = idsOf(change(out, insert(1, 2000)));
  expect(ids[0]).toBe("n1");
  expect(ids[1]).not.toBe("n2");
});

test("whatever is put in, moved and taken out of any network: ids are there, differ, and stay with nodes that stayed", () => {
  const steps = fc.array(
    fc.record({
      how: fc.constantFrom("insert", "remove", "move", "relay"),
      line: fc.nat(),
      at: fc.nat(),
      by: fc.nat(200),
    }),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(networks, steps, (start, drawn) => {
      let design = start;
      for (const { how, line: nth, at, by } of drawn) {
        const line = design.lines[nth % design.lines.length]!;
        const points = listPoints(line);
        const key = line.kind === "drain" ? "bendsMm" : "pointsMm";
        const index = at % Math.max(1, points.length);
        const path = ["lines", line.id, key];
        const value = { x: 900 + by, y: by, z: -100 - by / 2 };
        const ops: EditOp[] =
          how === "insert"
            ? [{ op: "insert", path, index, value }]
            : how === "remove"
              ? [{ op: "remove", path: [...path, index] }]
              : how === "move"
                ? (buildMove(design, { kind: "bend", lineId: line.id, index }, value)?.ops.slice() ?? [])
                : [{ op: "set", path, value: points.map(({ x, y, z }) => ({ x: x + by, y, z })) }];
        const outcome = applyEdit(design, { code: "change", at: { kind: "line", id: line.id }, ops });
        if (!outcome.ok) continue;
        const after = listPoints(outcome.design.lines.find(({ id }) => id === line.id));
        if (outcome.design !== design && after.length > 0 && ops.length > 0) {
          const ids = after.map(({ id }) => id);
          expect(ids.every((id) => typeof id === "string")).toBe(true);
          expect(new Set(ids).size).toBe(ids.length);
          const kept = points.flatMap(({ id }) => (id === undefined ? [] : [id]));
          const gone = how === "remove" ? 1 : 0;
          expect(kept.filter((id) => ids.includes(id)).length).toBeGreaterThanOrEqual(kept.length - gone);
          // one that was only moved is the same one
          if (how === "move" && points[index]?.id) expect(after[index]!.id).toBe(points[index]!.id);
        }
        design = outcome.design;
      }
      expect(parseDesign(JSON.parse(JSON.stringify(design))).ok).toBe(true);
      expect(findPlaceMm(design, { kind: "line", id: "any" })).toBeNull();
      expect(settleNodes(design, design, { op: "set", path: ["lines"], value: null })).toBe(design);
    }),
    { numRuns: 60 },
  );
});
