import { Project, Workspace } from "epanet-js";
import fc from "fast-check";
import type { Design } from "@/core/design/design";
import type { Gear } from "@/core/design/gear";
import type { Hose } from "@/core/design/plumbing";
import { proveEveryPosition } from "@/core/gear/everyPosition";
import { buildGearGraph } from "@/core/gear/gearGraph";
import { listFailures, toSetting } from "@/core/gear/settings";
import { solveFlows } from "@/core/gear/solveFlows";
import { toEpanet } from "@/core/gear/toEpanet";
import { readDemo } from "@/tests/demoRigs";
import { gearDesigns } from "@/tests/gearArbitraries";
import type { Row } from "./core";

const ROUNDS = 200;

/** Pumped water: its solver against a general engine on the same networks, the proof against solving each state. */
export async function benchGear(): Promise<Row[]> {
  const workspace = new Workspace();
  await workspace.loadModule();
  const networks = fc.sample(gearDesigns, { numRuns: 30, seed: 20261126 }).map(({ design, state }) => {
    const graph = buildGearGraph(design);
    return { design, graph, setting: toSetting(state) };
  });
  // warm before either is timed
  timeEach(() => {
    for (const { design, graph, setting } of networks) solveFlows(design, graph, setting);
  });
  let ours = 0;
  let theirs = 0;
  let opening = 0;
  let telling = 0;
  for (const { design, graph, setting } of networks) {
    const project = new Project(workspace);
    workspace.writeFile("net.inp", toEpanet(design, graph, setting));
    const began = performance.now();
    project.open("net.inp", "net.rpt", "net.bin");
    opening += performance.now() - began;
    // one right after the other, so that both meet the same machine
    ours += timeEach(() => solveFlows(design, graph, setting));
    // its reading of the file does not count
    theirs += timeEach(() => project.solveH());
    // what ours hands over with its answer: 8 is a link's flow, 10 its loss, 11 a node's pressure
    const links = graph.links.map((_, i) => project.getLinkIndex(`l${i + 1}`));
    const nodes = Array.from({ length: graph.nodes.size }, (_, i) => i + 1);
    telling += timeEach(() => {
      for (const link of links) [8, 10].map((of) => project.getLinkValue(link, of));
      for (const node of nodes) project.getNodeValue(node, 11);
    });
    project.close();
  }
  const loop = withHandValves(readDemo("kranich-loop"));
  const graph = buildGearGraph(loop);
  const failures = listFailures(loop.gear).length + 1;
  const oneState = timeEach(() => {
    for (const state of loop.states) solveFlows(loop, graph, toSetting(state));
  });
  const solved = oneState / loop.states.length;
  const every = timeEach(() => proveEveryPosition(loop)) / (proveEveryPosition(loop)!.positions * failures);
  return [
    { name: "one network of gear solved", value: ours / networks.length, unit: "ms", budget: null, better: "less" },
    { name: "the general engine, against it", value: theirs / ours, unit: "×", budget: 5, better: "more" },
    {
      name: "the general engine, flows and pressures told, against it",
      value: (theirs + telling) / ours,
      unit: "×",
      budget: null,
      better: "more",
    },
    {
      name: "the same with reading its file",
      value: (theirs + telling + opening) / ours,
      unit: "×",
      budget: null,
      better: "more",
    },
    {
      name: "proof of one position and failure, against its flows",
      value: every / solved,
      unit: "×",
      budget: 1 / 50,
      better: "less",
    },
  ];
}

// A stop valve in each of nine hoses, as some put one on either side of every filter.
function withHandValves(design: Design): Design {
  const hoses = design.lines.filter((line): line is Hose => line.kind === "hose").slice(0, 9);
  const gear = hoses.map(
    ({ id }, i): Gear => ({
      id: `hand-${id}`,
      name: `Hand valve ${i + 1}`,
      atMm: { x: 500 + 20 * i, y: 0, z: 200 },
      sizeMm: { x: 40, y: 40, z: 40 },
      openBelowMm: 0,
      spec: { kind: "valve", dropKPa: 1, atLpm: 10, drive: "hand", atRest: "stays" },
    }),
  );
  const lines = design.lines.flatMap((line) => {
    if (line.kind !== "hose" || !hoses.includes(line)) return [line];
    const valve = (port: string) => ({ kind: "gear" as const, gearId: `hand-${line.id}`, port });
    return [
      { ...line, to: valve("in"), pointsMm: [] },
      { ...line, id: `${line.id}-on`, from: valve("out"), pointsMm: [] },
    ];
  });
  const open = gear.map(({ id }) => ({ gearId: id, at: "open" as const }));
  const states = design.states.map((state) => ({ ...state, positions: [...state.positions, ...open] }));
  return { ...design, gear: [...design.gear, ...gear], lines, states };
}

// The least of several runs, each of one round, ms.
function timeEach(run: () => void): number {
  run();
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < ROUNDS; i++) {
    const began = performance.now();
    run();
    least = Math.min(least, performance.now() - began);
  }
  return least;
}
