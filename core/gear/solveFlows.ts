import type { Design } from "../design/design";
import { computeEdgeLoss, findChains } from "./chains";
import { type FlowNetwork, findPassages, ONE_WAY, type Passages, SHUT, toFlowNetwork } from "./flowNetwork";
import type { GearGraph } from "./gearGraph";
import { USUAL_LOAD } from "./linkLoss";
import { solveChains } from "./newton";
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
    findChains(network, passages);
    const heads = solveChains(network);
    const flows = spreadOut(network, passages, heads);
    if (!breakLoops(network, passages, heads, flows)) {
      return new FlowAnswer(network, passages, heads, flows);
    }
  }
}

// A vented loop whose top would be sucked lets air in there: it is shut, and what it parts is solved again.
function breakLoops(
  { froms, tos, breaksPa }: FlowNetwork,
  { ways }: Passages,
  heads: readonly number[],
  flows: readonly number[],
): boolean {
  let isBroken = false;
  for (let e = 0; e < breaksPa.length; e++) {
    if (breaksPa[e] === Number.NEGATIVE_INFINITY || ways[e] === SHUT || Math.abs(flows[e]!) < STILL_M3) continue;
    if (Math.min(heads[froms[e]!]!, heads[tos[e]!]!) >= breaksPa[e]!) continue;
    ways[e] = SHUT;
    isBroken = true;
  }
  return isBroken;
}

// From the junctions to every node, put into `heads`, and every edge.
function spreadOut(network: FlowNetwork, passages: Passages, heads: number[]): number[] {
  const { chained, newton, froms, tos } = network;
  const { stepEdge, stepSense, firstStep } = chained;
  const flows = network.noFlows.slice();
  for (let c = 0; c < chained.count; c++) {
    if (newton.isShut[c]) {
      standStill(network, passages, c, heads);
      continue;
    }
    let head = heads[chained.a[c]!]!;
    const last = firstStep[c + 1]! - 1;
    for (let i = firstStep[c]!; i <= last; i++) {
      const edge = stepEdge[i]!;
      const sense = stepSense[i]!;
      const flow = newton.flows[c]! * sense;
      flows[edge] = flow;
      // its far end is solved already
      if (i === last) break;
      head -= sense * computeEdgeLoss(network, edge, flow, passages.isDriven[edge] === 1);
      heads[sense === 1 ? tos[edge]! : froms[edge]!] = head;
    }
  }
  for (let i = chained.hanging - 1; i >= 0; i--) {
    const edge = chained.hangEdge[i]!;
    const sense = chained.hangSense[i]!;
    // against what is one-way nothing is pushed back, and what stands before it nobody knows
    const isHeld = sense === -1 && passages.ways[edge] === ONE_WAY;
    heads[chained.hangNode[i]!] = isHeld
      ? Number.NaN
      : heads[chained.hangOn[i]!]! - sense * computeEdgeLoss(network, edge, 0, passages.isDriven[edge] === 1);
  }
  return flows;
}

// What is held shut has the pressure of either end up to what holds it; between two that hold, nobody knows.
function standStill(network: FlowNetwork, { ways, isDriven }: Passages, c: number, heads: number[]): void {
  const { chained, froms, tos } = network;
  const first = chained.firstStep[c]!;
  const end = chained.firstStep[c + 1]! - 1;
  const edgeAt = (i: number) => chained.stepEdge[i]!;
  const senseAt = (i: number) => chained.stepSense[i]!;
  const still = (i: number) => computeEdgeLoss(network, edgeAt(i), 0, isDriven[edgeAt(i)] === 1);
  const nodeAfter = (i: number) => (senseAt(i) === 1 ? tos[edgeAt(i)]! : froms[edgeAt(i)]!);
  let last = end;
  while (last >= first && ways[edgeAt(last)] !== ONE_WAY) last--;
  let head = heads[chained.a[c]!]!;
  let isHeld = false;
  for (let i = first; i < end; i++) {
    isHeld ||= ways[edgeAt(i)] === ONE_WAY;
    head -= senseAt(i) * still(i);
    heads[nodeAfter(i)] = isHeld ? Number.NaN : head;
  }
  head = heads[chained.b[c]!]!;
  for (let i = end; i > last && i > first; i--) {
    head += senseAt(i) * still(i);
    heads[nodeAfter(i - 1)] = head;
  }
}

/** Told in words of the graph when asked for: most of who asks wants one list. */
class FlowAnswer implements FlowResult {
  readonly #network: FlowNetwork;
  readonly #ways: Uint8Array;
  readonly #heads: readonly number[];
  readonly #flows: readonly number[];
  #links: FlowResult["links"] | null = null;
  #nodes: FlowResult["nodes"] | null = null;

  constructor(network: FlowNetwork, { ways }: Passages, heads: readonly number[], flows: readonly number[]) {
    this.#network = network;
    this.#ways = ways;
    this.#heads = heads;
    this.#flows = flows;
  }

  get links() {
    this.#links ??= listLinks(this.#network, this.#ways, this.#heads, this.#flows);
    return this.#links;
  }

  get nodes() {
    this.#nodes ??= listNodes(this.#network, this.#heads);
    return this.#nodes;
  }

  get ends() {
    return listEnds(this.#network, this.#ways, this.#flows);
  }

  get residualLpm() {
    return findResidual(this.#network, this.#flows);
  }
}

const listLinks = (
  { graph, froms, tos }: FlowNetwork,
  ways: Uint8Array,
  heads: readonly number[],
  flows: readonly number[],
): LinkFlow[] =>
  graph.links.map(({ id }, e) => ({
    id,
    lpm: flows[e]! * LPM,
    // 0 where nothing sets a pressure, too
    lossKPa: ways[e] ? (heads[froms[e]!]! - heads[tos[e]!]!) / 1000 || 0 : 0,
  }));

const listNodes = ({ ids, heightPa }: FlowNetwork, heads: readonly number[]): NodePressure[] =>
  ids.map((id, i) => ({ id, kPa: Number.isNaN(heads[i]!) ? null : (heads[i]! - heightPa[i]!) / 1000 }));

const listEnds = ({ graph }: FlowNetwork, ways: Uint8Array, flows: readonly number[]): FlowResult["ends"] =>
  graph.ends.flatMap(({ node }, i) => {
    const e = graph.links.length + i;
    return ways[e] ? [{ node, lpm: flows[e]! * LPM }] : [];
  });

function findResidual({ ids, froms, tos, fixedPa }: FlowNetwork, flows: readonly number[]): number {
  const out = new Float64Array(ids.length + fixedPa.length);
  for (let e = 0; e < froms.length; e++) {
    out[froms[e]!]! -= flows[e]!;
    out[tos[e]!]! += flows[e]!;
  }
  return Math.max(0, ...out.subarray(0, ids.length).map(Math.abs)) * LPM;
}
