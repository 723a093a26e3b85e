import { Project, Workspace } from "epanet-js";
import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { gearDesigns } from "@/tests/gearArbitraries";
import { parseDesign } from "../design/parseDesign";
import { buildGearGraph } from "./gearGraph";
import { computeLinkLossPa, computePumpPa, toPa } from "./linkLoss";
import { listFailures, toSetting } from "./settings";
import { solveFlows } from "./solveFlows";
import { toEpanet } from "./toEpanet";

test("generated networks are designs that the schema lets through", () => {
  fc.assert(
    fc.property(gearDesigns, ({ design }) => expect(parseDesign(design)).toMatchObject({ ok: true })),
    { numRuns: 30 },
  );
});

test("flows of 50 random networks within 0.1 % of a general engine (EPANET 2.3), mass at every node to 1e-9", async () => {
  const workspace = new Workspace();
  await workspace.loadModule();
  let held = 0;
  for (const { design, state } of fc.sample(gearDesigns, { numRuns: 50, seed: 20261126 })) {
    const graph = buildGearGraph(design);
    const setting = toSetting(state);
    const result = solveFlows(design, graph, setting);
    const most = Math.max(...result.links.map(({ lpm }) => Math.abs(lpm)));
    expect(result.residualLpm).toBeLessThan(1e-9 * Math.max(1, most));
    const project = new Project(workspace);
    workspace.writeFile("net.inp", toEpanet(design, graph, setting));
    project.open("net.inp", "net.rpt", "net.bin");
    project.solveH();
    graph.links.forEach((link, i) => {
      const ours = result.links.find(({ id }) => id === link.id)!.lpm;
      // property 8 of a link is its flow
      const theirs = project.getLinkValue(project.getLinkIndex(`l${i + 1}`), 8);
      if (Math.abs(theirs) < 0.05) return;
      expect({ link: link.id, off: Math.abs(ours - theirs) / Math.abs(theirs) < 1e-3 }).toEqual({
        link: link.id,
        off: true,
      });
      held += 1;
    });
    [...graph.nodes.values()].forEach(({ id, atMm }, i) => {
      const kPa = result.nodes.find((node) => node.id === id)!.kPa!;
      // property 10 of a node is its head, m
      const theirs = project.getNodeValue(project.getNodeIndex(`n${i + 1}`), 10);
      const ours = (kPa * 1000 + toPa(atMm.z)) / toPa(1000);
      expect({ node: id, off: Math.abs(ours - theirs) / Math.max(1, Math.abs(theirs)) < 1e-3 }).toEqual({
        node: id,
        off: true,
      });
    });
    project.close();
  }
  expect(held).toBeGreaterThan(300);
});

test("doubling every loss in series never raises a flow", () => {
  fc.assert(
    fc.property(gearDesigns, ({ design, state }) => {
      const harder = {
        ...design,
        gear: design.gear.map((piece) =>
          "dropKPa" in piece.spec ? { ...piece, spec: { ...piece.spec, dropKPa: piece.spec.dropKPa * 2 } } : piece,
        ),
      };
      const sum = (one: typeof design) =>
        solveFlows(one, buildGearGraph(one), toSetting(state)).ends.reduce((all, { lpm }) => all + Math.max(0, lpm), 0);
      expect(sum(harder)).toBeLessThanOrEqual(sum(design) + 1e-6);
    }),
    { numRuns: 60 },
  );
});

test("with any one thing failed, every piece through which water runs takes what its own law says", () => {
  fc.assert(
    fc.property(gearDesigns, ({ design, state }) => {
      const graph = buildGearGraph(design);
      for (const failure of [null, ...listFailures(design.gear)]) {
        const { links, residualLpm } = solveFlows(design, graph, toSetting(state, failure));
        expect(residualLpm).toBeLessThan(1e-6);
        graph.links.forEach((link, i) => {
          const { lpm, lossKPa } = links[i]!;
          if (Math.abs(lpm) < 1e-3) return;
          const spec = link.kind === "inside" ? link.gear.spec : null;
          const flow = Math.abs(lpm) / 60_000;
          const lost = Math.sign(lpm) * computeLinkLossPa(link, flow);
          const gained =
            spec?.kind === "pump" && toSetting(state, failure).isOn(link.id) ? computePumpPa(spec, flow) : 0;
          expect(lossKPa * 1000).toBeCloseTo(lost - gained, 0);
        });
      }
    }),
    { numRuns: 20 },
  );
});

test("a pump that is on against a shut valve gives all it can up to the valve, and nothing runs", () => {
  fc.assert(
    fc.property(gearDesigns, ({ design, state }) => {
      const graph = buildGearGraph(design);
      const shut = { ...state, openTaps: [] };
      const { links, nodes } = solveFlows(design, graph, toSetting(shut));
      const pump = design.gear.find(({ spec }) => spec.kind === "pump")!;
      const kPaAt = (port: string) => {
        const id = `${pump.id}:${port}`;
        return nodes.find((node) => node.id === id)!.kPa! + toPa(graph.nodes.get(id)!.atMm.z) / 1000;
      };
      for (const { lpm } of links) expect(Math.abs(lpm)).toBeLessThan(1e-6);
      expect(kPaAt("out") - kPaAt("in")).toBeCloseTo(pump.spec.kind === "pump" ? pump.spec.shutOffKPa : 0, 3);
    }),
    { numRuns: 40 },
  );
});

test("a vented loop over the water stops what would run by itself, and lets through what a pump drives", () => {
  const otter = readDemo("otter-heads");
  const graph = buildGearGraph(otter);
  const state = otter.states.find(({ id }) => id === "tank")!;
  const flowOf = (design: typeof otter, on: readonly string[], link: string) =>
    solveFlows(design, buildGearGraph(design), toSetting({ ...state, on: [...on] })).links.find(
      ({ id }) => id === link,
    )!.lpm;
  expect(graph.links.some(({ id }) => id === "flush-loop")).toBe(true);
  expect(Math.abs(flowOf(otter, [], "h-intake"))).toBeLessThan(1e-6);
  // sunk below the water it breaks nothing any more
  const sunk = {
    ...otter,
    gear: otter.gear.map((piece) =>
      piece.spec.kind === "ventedLoop" ? { ...piece, atMm: { ...piece.atMm, z: -400 } } : piece,
    ),
  };
  expect(Math.abs(flowOf(sunk, [], "h-intake"))).toBeGreaterThan(0.1);
  // the sump's pump drives its water over its own
  expect(Math.abs(flowOf(otter, [], "h-rise"))).toBeLessThan(1e-6);
  expect(flowOf(otter, ["sump-pump"], "h-rise")).toBeGreaterThan(1);
});
