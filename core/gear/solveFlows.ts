import type { Design } from "../design/design";
import { type Chain, type Chained, computeEdgeLoss, findChains } from "./chains";
import { type FlowNetwork, findPassages, ONE_WAY, type Passages, SHUT, toFlowNetwork } from "./flowNetwork";
import type { GearGraph } from "./gearGraph";
import { USUAL_LOAD } from "./linkLoss";
import { type Solved, solveChains } from "./newton";
import type { Setting } from "./settings";

export type LinkFlow = {
  readonly id: string;
  /** From its `from` to its `to`, L/min; below 0 the other way. */
  readonly lpm: number;
  /** What it takes of the pressure, kPa; of a pump what it gives, below 0. */
  readonly lossKPa: number;
};

export type NodePressure = {
  readonly id: string;
  /** As a gauge there shows it, kPa; null where nothing sets it. */
  readonly kPa: number | null;
};

export type FlowResult = {
  readonly links: readonly LinkFlow[];
  readonly nodes: readonly NodePressure[];
  /** Out of each opening and into each tank, L/min; below 0 out of it. */
  readonly ends: readonly { readonly node: string; readonly lpm: number }[];
  /** Flow that is out of balance at the worst node, L/min: how well it was solved. */
  readonly residualLpm: number;
};

const LPM = 60_000;
/** Less than this does not run, m³/s. */
const STILL_M3 = 1e-9;

/**
 * Steady flows and pressures of the pumped side in one setting: friction after Darcy and Weisbach, pumps by their curves,
 * what lets water one way only by its sense. Filters loaded by a share in [0, 1]. What is not joined to water or to the
 * open stands still; a vented loop that would be sucked at its top lets air in. Only junctions are solved for, by Newton; what lies in a row or ends blind follows from them.
 */
export function solveFlows(design: Design, graph: GearGraph, setting: Setting, load = USUAL_LOAD): FlowResult {
  const network = toFlowNetwork(design, graph, load);
  const passages = findPassages(network, setting);
  for (;;) {
    const chained = findChains(network, passages);
    const solved = solveChains(network.ids.length, network.fixedPa, chained.chains);
    const { heads, flows } = spreadOut(network, passages, chained, solved);
    if (!breakLoops(network, passages, heads, flows)) return report(network, passages, solved, heads, flows);
  }
}

// A vented loop whose top would be sucked lets air in there: it is shut, and what it parts is solved again.
function breakLoops(
  { edges }: FlowNetwork,
  { ways }: Passages,
  heads: readonly number[],
  flows: readonly number[],
): boolean {
  let isBroken = false;
  for (let e = 0; e < edges.length; e++) {
    const { breaksPa, from, to } = edges[e]!;
    if (breaksPa === null || ways[e] === SHUT || Math.abs(flows[e]!) < STILL_M3) continue;
    if (Math.min(heads[from]!, heads[to]!) >= breaksPa) continue;
    ways[e] = SHUT;
    isBroken = true;
  }
  return isBroken;
}

// From the junctions to every node and edge.
function spreadOut(
  network: FlowNetwork,
  passages: Passages,
  { chains, hanging }: Chained,
  { heads, flows, isShut }: Solved,
): { readonly heads: readonly number[]; readonly flows: readonly number[] } {
  const all = [...heads, ...network.fixedPa];
  const edgeFlows = new Array<number>(network.edges.length).fill(0);
  const { edges } = network;
  for (let c = 0; c < chains.length; c++) {
    const chain = chains[c]!;
    if (isShut[c]) {
      standStill(network, passages, chain, all);
      continue;
    }
    let head = all[chain.a]!;
    for (let i = 0; i < chain.steps.length; i++) {
      const { edge, sense } = chain.steps[i]!;
      const flow = flows[c]! * sense;
      edgeFlows[edge] = flow;
      // its far end is solved already
      if (i === chain.steps.length - 1) break;
      head -= sense * computeEdgeLoss(edges[edge]!, flow, passages.isDriven[edge] === 1);
      all[sense === 1 ? edges[edge]!.to : edges[edge]!.from] = head;
    }
  }
  for (let i = hanging.length - 1; i >= 0; i--) {
    const { node, on, edge, sense } = hanging[i]!;
    // against what is one-way nothing is pushed back, and what stands before it nobody knows
    const isHeld = sense === -1 && passages.ways[edge] === ONE_WAY;
    all[node] = isHeld
      ? Number.NaN
      : all[on]! - sense * computeEdgeLoss(network.edges[edge]!, 0, passages.isDriven[edge] === 1);
  }
  return { heads: all, flows: edgeFlows };
}

// What is held shut has the pressure of either end up to what holds it; between two that hold, nobody knows.
function standStill({ edges }: FlowNetwork, { ways, isDriven }: Passages, chain: Chain, all: number[]): void {
  const steps = chain.steps;
  let last = steps.length - 1;
  while (last >= 0 && ways[steps[last]!.edge] !== ONE_WAY) last--;
  const still = (i: number) => computeEdgeLoss(edges[steps[i]!.edge]!, 0, isDriven[steps[i]!.edge] === 1);
  const nodeAfter = (i: number) => (steps[i]!.sense === 1 ? edges[steps[i]!.edge]!.to : edges[steps[i]!.edge]!.from);
  let head = all[chain.a]!;
  let isHeld = false;
  for (let i = 0; i < steps.length - 1; i++) {
    isHeld ||= ways[steps[i]!.edge] === ONE_WAY;
    head -= steps[i]!.sense * still(i);
    all[nodeAfter(i)] = isHeld ? Number.NaN : head;
  }
  head = all[chain.b]!;
  for (let i = steps.length - 1; i > last && i > 0; i--) {
    head += steps[i]!.sense * still(i);
    all[nodeAfter(i - 1)] = head;
  }
}

function report(
  { graph, ids, edges, heightPa }: FlowNetwork,
  { ways }: Passages,
  { heads }: Solved,
  all: readonly number[],
  flows: readonly number[],
): FlowResult {
  const out = new Array<number>(all.length).fill(0);
  for (let e = 0; e < edges.length; e++) {
    out[edges[e]!.from]! -= flows[e]!;
    out[edges[e]!.to]! += flows[e]!;
  }
  let worst = 0;
  for (let i = 0; i < heads.length; i++) worst = Math.max(worst, Math.abs(out[i]!));
  const ends: { node: string; lpm: number }[] = [];
  graph.ends.forEach(({ node }, i) => {
    const e = graph.links.length + i;
    if (ways[e]) ends.push({ node, lpm: flows[e]! * LPM });
  });
  return {
    links: graph.links.map(({ id }, e) => {
      const { from, to } = edges[e]!;
      // 0 where nothing sets a pressure, too
      return { id, lpm: flows[e]! * LPM, lossKPa: ways[e] ? (all[from]! - all[to]!) / 1000 || 0 : 0 };
    }),
    nodes: ids.map((id, i) => ({ id, kPa: Number.isNaN(all[i]!) ? null : (all[i]! - heightPa[i]!) / 1000 })),
    ends,
    residualLpm: worst * LPM,
  };
}
