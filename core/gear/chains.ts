import { type FlowEdge, type FlowNetwork, ONE_WAY, type Passages, SHUT } from "./flowNetwork";
import { addFriction, computeFrictionPa, type PipeLaw } from "./hoseLoss";
import type { PumpLaw } from "./linkLoss";

/** An edge on the way of a chain: with it (1) or against it (−1). */
type Step = { readonly edge: number; readonly sense: 1 | -1 };

/** Edges in a row through which one and the same flow goes, between two joints or fixed pressures. */
export type Chain = {
  readonly a: number;
  readonly b: number;
  readonly steps: readonly Step[];
  readonly square: number;
  /** Its hoses, those of one bore as one. */
  readonly pipes: readonly PipeLaw[];
  /** Pumps that are on, and whether they push with it or against it. */
  readonly pumps: readonly { readonly law: PumpLaw; readonly sense: 1 | -1 }[];
  readonly crackPa: number;
  /** Whether water may go from a to b, and from b to a. */
  readonly forth: boolean;
  readonly back: boolean;
};

/** A node that hangs on another by one edge alone: nothing flows to it. */
export type Hanging = { readonly node: number; readonly on: number } & Step;

export type Chained = {
  readonly chains: readonly Chain[];
  /** In the order they were taken off, the outermost first. */
  readonly hanging: readonly Hanging[];
};

/**
 * Takes off what ends blind and joins what lies in a row, so that only junctions are left to be solved. Rings that are
 * joined to nothing are left out: nothing sets a pressure there.
 */
export function findChains({ ids, edges, fixedPa, neighbours }: FlowNetwork, { ways, isDriven }: Passages): Chained {
  const count = ids.length;
  const { first, next } = neighbours;
  const isGone = new Array<0 | 1>(edges.length).fill(0);
  const degree = new Array<number>(count + fixedPa.length).fill(0);
  for (let e = 0; e < edges.length; e++) {
    const { from, to } = edges[e]!;
    // what comes back to where it began moves nothing
    if (ways[e] === SHUT || from === to) isGone[e] = 1;
    else {
      degree[from]!++;
      degree[to]!++;
    }
  }
  const other = (edge: number, node: number) => (edges[edge]!.from === node ? edges[edge]!.to : edges[edge]!.from);
  const senseFrom = (edge: number, node: number) => (edges[edge]!.from === node ? 1 : -1);
  const leave = (node: number): number => {
    for (let at = first[node]!; at >= 0; at = next[at]!) if (!isGone[at >> 1]) return at >> 1;
    return -1;
  };

  const hanging: Hanging[] = [];
  for (let start = 0; start < count; start++) {
    for (let node = start; node < count && degree[node] === 1; ) {
      const edge = leave(node);
      const on = other(edge, node);
      hanging.push({ node, on, edge, sense: senseFrom(edge, on) });
      isGone[edge] = 1;
      degree[node] = 0;
      degree[on]!--;
      node = on;
    }
  }

  const chains: Chain[] = [];
  const isEnd = (node: number) => node >= count || degree[node]! > 2;
  for (let node = 0; node < count + fixedPa.length; node++) {
    if (!isEnd(node)) continue;
    for (let at = first[node]!; at >= 0; at = next[at]!) {
      if (isGone[at >> 1]) continue;
      const steps: Step[] = [];
      let from = node;
      for (let edge = at >> 1; edge >= 0; edge = isEnd(from) ? -1 : leave(from)) {
        steps.push({ edge, sense: senseFrom(edge, from) });
        isGone[edge] = 1;
        from = other(edge, from);
      }
      chains.push(toChain(node, from, steps, edges, ways, isDriven));
    }
  }
  return { chains, hanging };
}

function toChain(
  a: number,
  b: number,
  steps: readonly Step[],
  edges: FlowNetwork["edges"],
  ways: Uint8Array,
  isDriven: Uint8Array,
): Chain {
  let square = 0;
  let crackPa = 0;
  let forth = true;
  let back = true;
  const pipes: PipeLaw[] = [];
  const pumps: { law: PumpLaw; sense: 1 | -1 }[] = [];
  for (const { edge: e, sense } of steps) {
    const edge = edges[e]!;
    square += edge.square;
    crackPa += edge.crackPa;
    if (edge.pipe) addPipe(pipes, edge.pipe);
    if (edge.pump && isDriven[e]) pumps.push({ law: edge.pump, sense });
    if (ways[e] !== ONE_WAY) continue;
    if (sense === 1) back = false;
    else forth = false;
  }
  return { a, b, steps, square, pipes, pumps, crackPa, forth, back };
}

function addPipe(pipes: PipeLaw[], pipe: PipeLaw): void {
  if (pipe.slenderness === 0) return;
  const at = pipes.findIndex(({ reynolds }) => reynolds === pipe.reynolds);
  if (at < 0) pipes.push(pipe);
  else pipes[at] = { ...pipes[at]!, slenderness: pipes[at]!.slenderness + pipe.slenderness };
}

/** Pressure its pumps give from a to b at a flow ≥ 0 with them, Pa; one that is pushed back gives its most. */
export function computeChainGain({ pumps }: Chain, flow: number): number {
  let pa = 0;
  for (const { law, sense } of pumps) {
    const with_ = sense * flow;
    pa += sense * (with_ > 0 ? law.shutOffPa - law.dropPa * (with_ / law.atFlow) ** law.power : law.shutOffPa);
  }
  return pa;
}

/** So little flow the laws are read at instead of none, m³/s. */
const LEAST = 1e-9;
/** The least a loss grows with the flow, Pa s/m³, so that a joint without any can be reckoned with. */
const LEAST_SLOPE = 1e3;

/** Pressure lost from a to b at a flow of either sense, Pa, put into `out` with how it grows. */
export function computeChainLoss(chain: Chain, flow: number, out: number[]): void {
  const { square, pipes, pumps, crackPa } = chain;
  const sense = flow < 0 ? -1 : 1;
  const size = Math.max(Math.abs(flow), LEAST);
  out[0] = square * size * size;
  out[1] = 2 * square * size;
  for (const pipe of pipes) addFriction(pipe, size, out);
  let pa = (out[0] + crackPa) * sense;
  let slope = out[1];
  for (const { law, sense: way } of pumps) {
    const lost = way * sense > 0 ? law.dropPa * (size / law.atFlow) ** law.power : 0;
    pa -= way * (law.shutOffPa - lost);
    slope += (law.power * lost) / size;
  }
  out[0] = pa;
  out[1] = Math.max(slope, LEAST_SLOPE);
}

/** Pressure one edge takes from its `from` to its `to` at a flow of either sense, Pa; below 0 what its pump gives. */
export function computeEdgeLoss({ square, pipe, pump, crackPa }: FlowEdge, flow: number, isOn: boolean): number {
  const size = Math.abs(flow);
  const lost = square * size * size + crackPa + (pipe && size > 0 ? computeFrictionPa(pipe, size) : 0);
  const gained = isOn && pump ? pump.shutOffPa - pump.dropPa * (Math.max(0, flow) / pump.atFlow) ** pump.power : 0;
  return (flow < 0 ? -lost : lost) - gained;
}
