import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { buildAddFixture } from "../edits/fixtureEdits";
import { buildTakeOver, listDifferences, summarize } from "./compareDesigns";

function apply(design: Design, edit: Parameters<typeof applyEdit>[1] | null): Design {
  const outcome = edit ? applyEdit(design, edit) : null;
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome?.faults));
  return outcome.design;
}

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
  expect(differences.map(({ id, how }) => [id, how])).toEqual([
    ["basin", "onlyThere"],
    ["grey", "changed"],
    ["sink-drain", "changed"],
    ["basin-drain", "onlyThere"],
  ]);
  const merged = differences
    .filter(({ list }) => list !== "fixtures")
    .reduce((design, difference) => apply(design, buildTakeOver(design, there, difference)), kranich);
  expect(listDifferences(merged, there)).toEqual([]);
  expect(listDifferences(there, kranich).map(({ how }) => how)).toContain("onlyHere");
});

test("a drain whose inlet is not here is refused and named", () => {
  const kranich = readDemo("kranich");
  const there = apply(kranich, buildAddFixture(kranich, "basin", "Basin"));
  const difference = listDifferences(kranich, there).find(({ id }) => id === "basin-drain")!;
  const outcome = applyEdit(kranich, buildTakeOver(kranich, there, difference)!);
  expect(outcome).toMatchObject({ ok: false, faults: [{ code: "danglingReference" }] });
});
