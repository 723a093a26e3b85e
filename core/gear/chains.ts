import type { Friction } from "../air/friction";
import { readFriction } from "../air/frictionTable";
import { type FlowNetwork, ONE_WAY, type Passages, SHUT } from "./flowNetwork";
import type { Chained } from "./flowRooms";

/**
 * Takes off what ends blind and joins what lies in a row, so that only junctions are left to be solved. Rings that are
 * joined to nothing are left out: nothing sets a pressure there.
 */
export function findChains(network: FlowNetwork, passages: Passages): Chained {
  const { chained, ids, fixedPa, first, next } = network;
  const count = ids.length;
  markOpen(network, passages);
  takeBlindOff(network);
  chained.count = 0;
  for (let node = 0; node < count + fixedPa.length; node++) {
    if (node < count && chained.degree[node]! <= 2) continue;
    for (let at = first[node]!; at >= 0; at = next[at]!) {
      if (!chained.isGone[at >> 1]) followChain(network, passages, node, at >> 1);
    }
  }
  return chained;
}

// From an end along an edge, and then along the only one that goes on, up to the next end.
function followChain(network: FlowNetwork, { ways, isDriven }: Passages, a: number, begin: number): void {
  const { chained, ids, froms, tos, first, next, square, crackPa, bore, slenderness, pump } = network;
  const { isGone, degree } = chained;
  const c = chained.count++;
  let step = chained.firstStep[c]!;
  let pipes = chained.firstPipe[c]!;
  let pumps = chained.firstPump[c]!;
  let squares = 0;
  let cracks = 0;
  let forth = 1;
  let back = 1;
  let node = a;
  for (let e = begin; e >= 0; ) {
    const sense = froms[e] === node ? 1 : -1;
    isGone[e] = 1;
    chained.stepEdge[step] = e;
    chained.stepSense[step++] = sense;
    squares += square[e]!;
    cracks += crackPa[e]!;
    if (bore[e]! >= 0) pipes = addPipe(chained, c, pipes, bore[e]!, slenderness[e]!);
    if (pump[e] && isDriven[e]) {
      chained.pumpEdge[pumps] = e;
      chained.pumpSense[pumps++] = sense;
    }
    if (ways[e] === ONE_WAY) {
      if (sense === 1) back = 0;
      else forth = 0;
    }
    node = sense === 1 ? tos[e]! : froms[e]!;
    e = -1;
    if (node >= ids.length || degree[node]! > 2) break;
    let at = first[node]!;
    while (at >= 0 && isGone[at >> 1]) at = next[at]!;
    if (at >= 0) e = at >> 1;
  }
  chained.a[c] = a;
  chained.b[c] = node;
  chained.square[c] = squares;
  chained.crackPa[c] = cracks;
  chained.forth[c] = forth;
  chained.back[c] = back;
  chained.firstStep[c + 1] = step;
  chained.firstPipe[c + 1] = pipes;
  chained.firstPump[c + 1] = pumps;
}

// Hoses of one bore in a row are one hose.
function addPipe(chained: Chained, c: number, to: number, bore: number, slenderness: number): number {
  for (let i = chained.firstPipe[c]!; i < to; i++) {
    if (chained.pipeBore[i] !== bore) continue;
    chained.slenderness[i]! += slenderness;
    return to;
  }
  chained.pipeBore[to] = bore;
  chained.slenderness[to] = slenderness;
  return to + 1;
}

function markOpen({ chained: { isGone, degree }, froms, tos }: FlowNetwork, { ways }: Passages): void {
  degree.fill(0);
  for (let e = 0; e < froms.length; e++) {
    const [from, to] = [froms[e]!, tos[e]!];
    // what comes back to where it began moves nothing
    isGone[e] = ways[e] === SHUT || from === to ? 1 : 0;
    if (isGone[e]) continue;
    degree[from]!++;
    degree[to]!++;
  }
}

function takeBlindOff({ chained, ids, froms, tos, first, next }: FlowNetwork): void {
  const { isGone, degree } = chained;
  const count = ids.length;
  chained.hanging = 0;
  for (let start = 0; start < count; start++) {
    for (let node = start; node < count && degree[node] === 1; ) {
      let at = first[node]!;
      while (isGone[at >> 1]) at = next[at]!;
      const edge = at >> 1;
      const sense = froms[edge] === node ? -1 : 1;
      const on = sense === 1 ? froms[edge]! : tos[edge]!;
      const i = chained.hanging++;
      chained.hangNode[i] = node;
      chained.hangOn[i] = on;
      chained.hangEdge[i] = edge;
      chained.hangSense[i] = sense;
      isGone[edge] = 1;
      degree[node] = 0;
      degree[on]!--;
      node = on;
    }
  }
}

/** Pressure the pumps of chain c give from its a to its b while nothing flows, Pa. */
export function computeChainPush({ chained, pump }: FlowNetwork, c: number): number {
  let pa = 0;
  for (let i = chained.firstPump[c]!; i < chained.firstPump[c + 1]!; i++) {
    pa += chained.pumpSense[i]! * pump[chained.pumpEdge[i]!]!.shutOffPa;
  }
  return pa;
}

/** So little flow the laws are read at instead of none, m³/s. */
const LEAST = 1e-9;
/** The least a loss grows with the flow, Pa s/m³, so that a joint without any can be reckoned with. */
const LEAST_SLOPE = 1e3;

const friction: Friction = { f: 0, growth: 0 };
/** Pressure lost, Pa, and how it grows, Pa s/m³. */
export type Loss = { pa: number; slope: number };

/** Pressure chain c loses from its a to its b at a flow of either sense, put into `into` with how it grows. */
export function computeChainLoss(network: FlowNetwork, c: number, flow: number, into: Loss): void {
  const { chained, bores, pump } = network;
  const sense = flow < 0 ? -1 : 1;
  const size = Math.max(Math.abs(flow), LEAST);
  let pa = chained.square[c]! * size * size;
  let slope = 2 * chained.square[c]! * size;
  const lastPipe = chained.firstPipe[c + 1]!;
  for (let i = chained.firstPipe[c]!; i < lastPipe; i++) {
    const law = bores[chained.pipeBore[i]!]!;
    readFriction(law.friction, law.reynolds * size, friction);
    const perFlow = friction.f * chained.slenderness[i]! * law.velocityHead * size;
    pa += perFlow * size;
    slope += perFlow * (2 + friction.growth);
  }
  pa = (pa + chained.crackPa[c]!) * sense;
  for (let i = chained.firstPump[c]!; i < chained.firstPump[c + 1]!; i++) {
    const { shutOffPa, dropPa, atFlow, power } = pump[chained.pumpEdge[i]!]!;
    const way = chained.pumpSense[i]!;
    const lost = way * sense > 0 ? dropPa * Math.exp(power * Math.log(size / atFlow)) : 0;
    pa -= way * (shutOffPa - lost);
    slope += (power * lost) / size;
  }
  into.pa = pa;
  into.slope = Math.max(slope, LEAST_SLOPE);
}

/** Pressure edge e takes from its `from` to its `to` at a flow of either sense, Pa; below 0 what its pump gives. */
export function computeEdgeLoss(network: FlowNetwork, e: number, flow: number, isOn: boolean): number {
  const { square, crackPa, bore, slenderness, bores, pump } = network;
  const size = Math.abs(flow);
  let lost = square[e]! * size * size + crackPa[e]!;
  if (bore[e]! >= 0 && size > 0) {
    const law = bores[bore[e]!]!;
    readFriction(law.friction, law.reynolds * size, friction);
    lost += friction.f * slenderness[e]! * law.velocityHead * size * size;
  }
  const law = isOn ? pump[e] : null;
  const gained = law
    ? law.shutOffPa - (flow > 0 ? law.dropPa * Math.exp(law.power * Math.log(flow / law.atFlow)) : 0)
    : 0;
  return (flow < 0 ? -lost : lost) - gained;
}
