import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { gearDesigns } from "@/tests/gearArbitraries";
import type { Design } from "../design/design";
import { evaluate } from "../evaluate/evaluate";
import { buildGearGraph, toPortNode } from "../gear/gearGraph";
import { listHoseDuties } from "../gear/hoseDuty";
import { toSetting } from "../gear/settings";
import { solveFlows } from "../gear/solveFlows";
import { findWaterOpened, LEAST_LPM, pickFouler } from "../gear/waterInHoses";
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

/** What each hose is drawn to carry, by its id. */
const listCarried = (design: Design) =>
  new Map(
    buildWaterway(design, evaluate(design)).edges.flatMap(({ id, carries }) =>
      id.startsWith("line:") && carries !== "air" ? [[id.slice(5), carries] as const] : [],
    ),
  );

test("what is let go by a toilet is drawn black up to its end, whatever it is flushed with", () => {
  for (const name of ["otter-heads", "setzkasten"] as const) {
    const design = readDemo(name);
    const carried = listCarried(design);
    const duties = [...listHoseDuties(design)];
    expect(duties.filter(([, { isSewage }]) => isSewage).length).toBeGreaterThan(3);
    for (const [id, { isSewage }] of duties) expect([id, carried.get(id) === "black"]).toEqual([id, isSewage]);
  }
});

test("loop water is drawn as it is, to the fixture it comes out at; before the air gap it is fresh", () => {
  const design = readDemo("lesesaal-loop");
  const { edges } = buildWaterway(design, evaluate(design));
  const find = (kind: string) => design.gear.find(({ spec }) => spec.kind === kind)!.id;
  const at = (gearId: string) => edges.filter(({ from, to }) => [from, to].includes(`gear:${gearId}`));
  for (const kind of ["pump", "filter", "uvLamp", "nonReturn"]) {
    expect(at(find(kind)).map(({ carries }) => carries)).toEqual(["loop", "loop"]);
  }
  expect(at(find("coupling")).map(({ carries }) => carries)).toEqual(["fresh"]);
  const shower = design.gear.find(({ spec }) => spec.kind === "tap" && spec.fixtureId !== null)!;
  const supply = edges.find(({ id }) => id.startsWith(`supply:gear:${shower.id}`))!;
  expect(supply.carries).toBe("loop");
});

test("any gear: no hose is drawn cleaner than what runs into it out of a tank, nor fouler than what anything open could bring", () => {
  let ran = 0;
  fc.assert(
    fc.property(gearDesigns, ({ design: drawn, state }) => {
      const design = { ...drawn, states: [state] };
      const graph = buildGearGraph(design);
      const carried = listCarried(design);
      const most = findWaterOpened(graph);
      const holds = new Map(graph.ends.flatMap((end) => (end.isDry ? [] : [[end.node, end.holds] as const])));
      for (const { id, lpm } of solveFlows(design, graph, toSetting(state)).links) {
        const link = graph.links.find((one) => one.id === id)!;
        const water = carried.get(id);
        if (link.kind !== "hose" || !water) continue;
        const brought = holds.get(lpm > 0 ? link.from : link.to);
        if (Math.abs(lpm) > LEAST_LPM && brought && brought !== "sea") {
          ran += 1;
          expect([id, pickFouler(water, brought)]).toEqual([id, water]);
        }
        const worst = most.get(id);
        if (worst) expect([id, pickFouler(water, worst)]).toEqual([id, worst]);
      }
      for (const { id, spec } of design.gear) {
        if (spec.kind !== "bowl") continue;
        const out = graph.links.find(
          (one) => one.kind === "hose" && [one.from, one.to].includes(toPortNode(id, "waste")),
        );
        if (out) expect(carried.get(out.id)).toBe("black");
      }
    }),
    { numRuns: 60 },
  );
  expect(ran).toBeGreaterThan(20);
});
