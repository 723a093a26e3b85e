import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { buildWaterway } from "./buildWaterway";

test.each([...DEMO_NAMES, FURNISHED] as const)(
  "%s: every line is one way, and every way joins what is there",
  (name) => {
    const design = readDemo(name);
    const { nodes, edges } = buildWaterway(design, evaluate(design));
    const ids = nodes.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { from, to } of edges) {
      expect(ids).toContain(from);
      expect(ids).toContain(to);
    }
    const lines = edges.filter(({ id }) => id.startsWith("line:") && id.split(":").length === 2);
    expect(lines.map(({ id }) => id.slice(5)).sort()).toEqual(design.lines.map(({ id }) => id).sort());
  },
);

test("of any network each fixture with a drain leads on, and what is a must is a must in the diagram", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const evaluation = evaluate(design);
      const { nodes, edges } = buildWaterway(design, evaluation);
      for (const { id } of design.fixtures) expect(edges.some(({ from }) => from === `fixture:${id}`)).toBe(true);
      for (const { at, severity } of evaluation.findings) {
        if (severity !== "must" || at.kind !== "leg") continue;
        expect(edges.find(({ part }) => part.kind === "line" && part.id === at.lineId)?.severity).toBe("must");
      }
      expect(nodes.filter(({ kind }) => kind === "tank")).toHaveLength(design.tanks.length);
    }),
    { numRuns: 40 },
  );
});
