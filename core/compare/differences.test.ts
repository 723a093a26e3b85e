import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import { buildAddFixture } from "../edits/fixtureEdits";
import { evaluate } from "../evaluate/evaluate";
import { buildTakeOver, type Difference, listDifferences, toDifferenceKey } from "./differences";
import { listFindingsApart, summarize } from "./summary";

function apply(design: Design, edit: Parameters<typeof applyEdit>[1] | null): Design {
  const outcome = edit ? applyEdit(design, edit) : null;
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome?.faults));
  return outcome.design;
}

const tellShort = (difference: Difference): readonly (string | undefined)[] =>
  difference.of === "part"
    ? [difference.id, difference.how, ...(difference.how === "changed" ? difference.fields : [])]
    : [difference.of, difference.of === "rules" ? undefined : difference.field];

test("a design differs in nothing from itself written and read again", () => {
  fc.assert(
    fc.property(networks, (design) => {
      expect(listDifferences(design, JSON.parse(JSON.stringify(design)))).toEqual([]);
      expect(summarize(design)).toEqual(summarize(JSON.parse(JSON.stringify(design))));
    }),
    { numRuns: 30 },
  );
});

test("every difference taken over, nothing is left between two variants but what is only here", () => {
  const kranich = readDemo("kranich");
  const added = apply(kranich, buildAddFixture(kranich, "basin", "Basin"));
  const there = apply(added, {
    code: "change",
    at: { kind: "rig" },
    ops: [{ op: "set", path: ["lines", "sink-drain", "bendsMm", 1, "z"], value: -95 }],
  });
  const differences = listDifferences(kranich, there);
  expect(new Set(differences.map(toDifferenceKey)).size).toBe(differences.length);
  expect(differences.map(tellShort)).toEqual([
    ["basin", "onlyThere"],
    ["grey", "changed", "ports"],
    ["sink-drain", "changed", "bendsMm"],
    ["basin-drain", "onlyThere"],
    // hands are washed at the basin that came
    ["habits", "ways"],
  ]);
  const merged = differences
    .filter((difference) => difference.of !== "part" || difference.list !== "fixtures")
    .reduce((design, difference) => apply(design, buildTakeOver(design, there, difference)), kranich);
  expect(listDifferences(merged, there)).toEqual([]);
  expect(listDifferences(there, kranich).map(tellShort)).toContainEqual(["basin", "onlyHere"]);
});

test("a drain whose inlet is not here is refused and named", () => {
  const kranich = readDemo("kranich");
  const there = apply(kranich, buildAddFixture(kranich, "basin", "Basin"));
  const difference = listDifferences(kranich, there).find((one) => tellShort(one)[0] === "basin-drain")!;
  const outcome = applyEdit(kranich, buildTakeOver(kranich, there, difference)!);
  expect(outcome).toMatchObject({ ok: false, faults: [{ code: "danglingReference" }] });
});

test("whatever is changed in a design is told, and copied the two are alike again", () => {
  const base = readDemo("otter-heads");
  const paths = listPaths(base).filter(
    (path) => !["format", "version", "id", "name", "note"].includes(String(path[0])),
  );
  fc.assert(
    fc.property(fc.constantFrom(...paths), fc.integer({ min: 1, max: 9 }), (path, by) => {
      const outcome = applyEdit(base, { code: "change", at: { kind: "rig" }, ops: [change(base, path, by)] });
      // what the schema does not bear is no variant
      fc.pre(outcome.ok);
      const there = outcome.ok ? outcome.design : base;
      const differences = listDifferences(base, there);
      expect(differences.length).toBeGreaterThan(0);
      const merged = differences.reduce((design, one) => apply(design, buildTakeOver(design, there, one)), base);
      expect(listDifferences(merged, there)).toEqual([]);
    }),
    { numRuns: 200 },
  );
});

type Path = readonly (string | number)[];

// Every number and every switch of a design, by its path.
function listPaths(value: unknown, path: Path = []): Path[] {
  if (typeof value === "number" || typeof value === "boolean") return [path];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, entry]) =>
    listPaths(entry, [...path, Array.isArray(value) ? Number(key) : key]),
  );
}

function change(design: Design, path: Path, by: number): EditOp {
  const old = path.reduce<unknown>((value, key) => (value as Record<string | number, unknown>)[key], design);
  return { op: "set", path, value: typeof old === "boolean" ? !old : (old as number) + by };
}

test("every tank counts by itself, fresh water is no room for waste, and what is said of one only is listed", () => {
  const there = readDemo("otter-heads");
  const here = readDemo("otter");
  const [mine, theirs] = [summarize(here), summarize(there)];
  expect(theirs.stores.map(({ holds }) => holds).sort()).toEqual(["black", "fresh", "grey"]);
  const rooms = evaluate(there).tanks.map(({ tankId, usableWorstL }) => [tankId, usableWorstL]);
  for (const { storeId, holds, roomL } of theirs.stores)
    if (holds !== "fresh") expect(rooms).toContainEqual([storeId, roomL.worst]);
  const apart = listFindingsApart(mine, theirs);
  expect(apart.there.length - apart.here.length).toBe(theirs.findings.length - mine.findings.length);
  expect(apart.there.every(({ severity }) => severity !== "note")).toBe(true);
  expect(listFindingsApart(mine, mine)).toEqual({ here: [], there: [] });
});
