import { type Difference, listDifferences } from "@/core/compare/differences";
import { summarize } from "@/core/compare/summary";
import type { Design } from "@/core/design/design";
import { readDemo } from "@/tests/demoRigs";
import { describeDifference, listFigureRows } from "./compare";

const compare = (design: Design) => ({ design, summary: summarize(design) });

test("a pump that is set otherwise is no silence: it is told with what differs", () => {
  const here = readDemo("kranich-loop");
  const pump = here.gear.find(({ spec }) => spec.kind === "pump")!;
  const there = {
    ...here,
    gear: here.gear.map((piece) => (piece === pump ? { ...piece, atMm: { ...piece.atMm, z: 5 } } : piece)),
    habits: { ...here.habits, certainty: 0.95 },
  };
  expect(listDifferences(here, there).map(describeDifference)).toEqual([
    { name: pump.name, how: "is different: place" },
    { name: "How sure the days should be", how: "is different" },
  ]);
});

test("fields that are called alike are named once, the last after an and", () => {
  const difference: Difference = {
    of: "part",
    list: "lines",
    id: "a",
    name: "Drain",
    how: "changed",
    fields: ["bendsMm", "pointsMm", "pipe", "to"],
  };
  expect(describeDifference(difference).how).toBe("is different: course, pipe and end");
});

test("figures of two rigs stand side by side, and what only one has is none on the other", () => {
  const [here, there] = [compare(readDemo("kranich")), compare(readDemo("otter-heads"))];
  const rows = listFigureRows(here, there, "metric");
  const find = (name: string) => rows.find((row) => row.name === name);
  expect(find("Pumps, filters, valves")).toMatchObject({ here: "0", there: String(there.design.gear.length) });
  expect(find("Black tank, usable at worst")).toMatchObject({ here: "none", isSame: false });
  expect(find("To settle before you drill")?.there).toBe(
    String(there.summary.findings.filter(({ severity }) => severity === "must").length),
  );
  expect(listFigureRows(here, here, "imperial").every(({ isSame }) => isSame)).toBe(true);
});
