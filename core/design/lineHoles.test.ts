import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { buildVentWay } from "../edits/ventEdits";
import { listLinePassages } from "../evaluate/checkLineLegs";
import { evaluate } from "../evaluate/evaluate";
import { proposeRemedies } from "../remedies/proposeRemedies";
import type { Design } from "./design";
import { buildPutHoles, listDrilledHoles } from "./lineItems";
import { parseDesign, parseDesignText } from "./parseDesign";
import type { Line } from "./plumbing";

// Holes that are there already, on breathers, hoses and dump lines as on drains.

const lineOf = (design: Design, id: string): Line => design.lines.find((line) => line.id === id)!;
const put = (design: Design, lineId: string, ...holes: { leg: number; nth: number; diameterMm: number }[]): Design =>
  mustApply(design, {
    code: "change",
    at: { kind: "line", id: lineId },
    ops: [buildPutHoles(lineOf(design, lineId), holes)],
  });
const passagesOf = (design: Design) => [
  ...evaluate(design).drains.flatMap(({ passages }) => passages),
  ...listLinePassages(design),
];

test("any hole of any line of any sample: as wide as it must be nothing is said, a hair less and it is, and the remedy widens it", () => {
  const all = ALL_DEMOS.flatMap((design) => passagesOf(design).map((passage) => ({ design, passage })));
  const kinds = new Set(all.map(({ design, passage }) => lineOf(design, passage.lineId).kind));
  expect([...kinds].sort()).toEqual(["drain", "hose", "vent"]);
  fc.assert(
    fc.property(fc.constantFrom(...all), ({ design, passage }) => {
      const { lineId, legIndex: leg, nth, hole } = passage;
      const told = (diameterMm: number) =>
        findAll(put(design, lineId, { leg, nth, diameterMm }), "holeSmall").map(({ at, neededMm }) => [at, neededMm]);
      expect(told(hole.lengthMm + 1e-6)).toEqual([]);
      expect(told(hole.lengthMm - 0.01)).toEqual([[{ kind: "leg", lineId, index: leg }, hole.lengthMm]]);
      const small = put(design, lineId, { leg, nth, diameterMm: hole.lengthMm - 1 });
      expect(passagesOf(small).filter(({ drilledMm }) => drilledMm !== null)).toHaveLength(1);
      const [finding] = findAll(small, "holeSmall");
      const [remedy] = proposeRemedies(small, evaluate(small), finding!);
      expect(findAll(mustApply(small, remedy!.edit), "holeSmall")).toEqual([]);
      // written and read again it is there
      const again = parseDesignText(JSON.stringify(small));
      expect(again).toMatchObject({ ok: true, cleaned: false });
      if (again.ok)
        expect(listDrilledHoles(lineOf(again.design, lineId))).toEqual(listDrilledHoles(lineOf(small, lineId)));
    }),
    { numRuns: 25 },
  );
});

test("a hole goes with the leg it is for: points put in, pulled and taken out, and a breather that is laid anew forgets it", () => {
  const design = readDemo("kranich");
  const vent = design.lines.find((line) => line.kind === "vent")!;
  const path = ["lines", vent.id, "pointsMm"];
  const at = { kind: "line", id: vent.id } as const;
  expect(vent.pointsMm.length).toBeGreaterThan(1);
  const drilled = put(design, vent.id, { leg: 0, nth: 0, diameterMm: 30 }, { leg: 1, nth: 0, diameterMm: 31 });
  const holes = (given: Design) =>
    listDrilledHoles(lineOf(given, vent.id)).map(({ leg, diameterMm }) => [leg, diameterMm]);
  expect(holes(drilled)).toEqual([
    [0, 30],
    [1, 31],
  ]);
  const first = vent.pointsMm[0]!;
  const pulled = mustApply(drilled, {
    code: "move",
    at,
    ops: [{ op: "set", path: [...path, 0], value: { x: first.x + 5, y: first.y, z: first.z } }],
  });
  expect(holes(pulled)).toEqual(holes(drilled));
  const between = { x: first.x + 1, y: first.y, z: first.z + 1 };
  const more = mustApply(drilled, { code: "addBend", at, ops: [{ op: "insert", path, index: 1, value: between }] });
  expect(holes(more)).toEqual([
    [0, 30],
    [1, 31],
  ]);
  const fewer = mustApply(drilled, { code: "removeBend", at, ops: [{ op: "remove", path: [...path, 0] }] });
  expect(holes(fewer)).toEqual([
    [0, 30],
    [0, 31],
  ]);
  const edit = buildVentWay(design, vent.id, "underFloor") ?? buildVentWay(design, vent.id, "wall");
  expect(holes(mustApply(drilled, edit!))).toEqual([]);
  // a hole at a point that is not there is refused with its place
  const wrong = structuredClone(drilled) as unknown as { lines: { id: string; items: { node: string }[] }[] };
  wrong.lines.find(({ id }) => id === vent.id)!.items[1]!.node = "gone";
  expect(parseDesign(wrong)).toMatchObject({ ok: false, faults: [{ code: "atNoBend" }] });
});
