import type { Design } from "../design/design";
import type { GearEnd, GearGraph, GearLink } from "./gearGraph";
import { type PipeLaw, toPipeLaw } from "./hoseLoss";
import { computeLinkLossPa, computeMouthLoss, type PumpLaw, toPa, toPumpLaw, toWaterPipe } from "./linkLoss";
import { findPassing, type Setting } from "./settings";

/** A link or the mouth of an end, in numbers that are the same in every setting. */
export type FlowEdge = {
  /** Its nodes by their place; the far side of an end lies past the nodes, at its place among the fixed pressures. */
  readonly from: number;
  readonly to: number;
  /** What grows with the square of the flow, Pa at (m³/s)². */
  readonly square: number;
  readonly pipe: PipeLaw | null;
  readonly pump: PumpLaw | null;
  /** Pressure that opens it, Pa. */
  readonly crackPa: number;
  /** Of a vented loop: below this, Pa of water over the floor, air comes in at its top and no water runs on. */
  readonly breaksPa: number | null;
};

export type FlowNetwork = {
  readonly graph: GearGraph;
  readonly ids: readonly string[];
  /** Its links, then its ends, in the order of the graph. */
  readonly edges: readonly FlowEdge[];
  readonly fixedPa: readonly number[];
  /** Edges at each node as linked lists: edge e stands in them at 2e for its `from` and at 2e + 1 for its `to`; −1 ends. */
  readonly neighbours: { readonly first: Int32Array; readonly next: Int32Array };
  /** Height of each node, as Pa of water. */
  readonly heightPa: readonly number[];
  /** Of each end the tap or coupling that must be open for it, or null. */
  readonly opener: readonly (string | null)[];
};

/** How an edge stands in a setting. */
export const SHUT = 0;
export const BOTH_WAYS = 1;
export const ONE_WAY = 2;

export type Passages = {
  /** SHUT, BOTH_WAYS or ONE_WAY, from its `from` to its `to`. */
  readonly ways: Uint8Array;
  readonly isDriven: Uint8Array;
};

const known = new WeakMap<GearGraph, Map<number, FlowNetwork>>();

/** A graph in numbers, filters loaded by a share in [0, 1]; the same graph is put into numbers once. */
export function toFlowNetwork(design: Design, graph: GearGraph, load: number): FlowNetwork {
  const byLoad = known.get(graph) ?? new Map<number, FlowNetwork>();
  known.set(graph, byLoad);
  const made = byLoad.get(load) ?? compile(design, graph, load);
  byLoad.set(load, made);
  return made;
}

function compile(design: Design, graph: GearGraph, load: number): FlowNetwork {
  const ids = [...graph.nodes.keys()];
  const index = new Map(ids.map((id, i) => [id, i]));
  const specOf = new Map(design.gear.map(({ id, spec }) => [id, spec]));
  const gearOf = ({ gearId }: GearEnd) => (gearId === null ? undefined : specOf.get(gearId));
  const links = graph.links.map((link) => toEdge(link, index.get(link.from)!, index.get(link.to)!, load));
  const mouths = graph.ends.map((end, i) => ({
    from: index.get(end.node)!,
    to: ids.length + i,
    square: computeMouthLoss(gearOf(end)),
    pipe: null,
    pump: null,
    crackPa: 0,
    breaksPa: null,
  }));
  const edges = [...links, ...mouths];
  return {
    graph,
    ids,
    edges,
    neighbours: listNeighbours(ids.length + graph.ends.length, edges),
    fixedPa: graph.ends.map(({ headMm, overKPa }) => toPa(headMm) + overKPa * 1000),
    heightPa: ids.map((id) => toPa(graph.nodes.get(id)!.atMm.z)),
    opener: graph.ends.map((end) => {
      const kind = gearOf(end)?.kind;
      return kind === "tap" || (kind === "coupling" && end.kind === "air") ? end.gearId : null;
    }),
  };
}

function toEdge(link: GearLink, from: number, to: number, load: number): FlowEdge {
  if (link.kind === "hose") {
    const pipe = toPipeLaw(toWaterPipe(link));
    return { from, to, square: pipe.bends, pipe, pump: null, crackPa: 0, breaksPa: null };
  }
  const { spec } = link.gear;
  return {
    from,
    to,
    // all pieces but hoses lose by the square alone
    square: computeLinkLossPa(link, 1, load),
    pipe: null,
    pump: spec.kind === "pump" ? toPumpLaw(spec) : null,
    crackPa: spec.kind === "nonReturn" ? spec.crackKPa * 1000 : 0,
    breaksPa: spec.kind === "ventedLoop" ? toPa(link.gear.atMm.z + link.gear.sizeMm.z) : null,
  };
}

function listNeighbours(nodes: number, edges: readonly FlowEdge[]): FlowNetwork["neighbours"] {
  const first = new Int32Array(nodes).fill(-1);
  const next = new Int32Array(2 * edges.length);
  edges.forEach(({ from, to }, e) => {
    next[2 * e] = first[from]!;
    first[from] = 2 * e;
    next[2 * e + 1] = first[to]!;
    first[to] = 2 * e + 1;
  });
  return { first, next };
}

/** Which edges let water through in a setting, which way, and which pumps are on. */
export function findPassages({ graph, edges, opener }: FlowNetwork, setting: Setting): Passages {
  const ways = new Uint8Array(edges.length);
  const isDriven = new Uint8Array(edges.length);
  for (let e = 0; e < graph.links.length; e++) {
    const passing = findPassing(graph.links[e]!, setting);
    // whatever lets water back lets it forward too
    ways[e] = passing.back ? BOTH_WAYS : passing.forward ? ONE_WAY : SHUT;
    isDriven[e] = passing.isDriven ? 1 : 0;
  }
  graph.ends.forEach((end, i) => {
    const tap = opener[i] ?? null;
    if (tap !== null && !setting.isTapOpen(tap)) return;
    // air does not come in here, nor water where there is none
    ways[graph.links.length + i] = end.kind === "air" || end.isDry ? ONE_WAY : BOTH_WAYS;
  });
  return { ways, isDriven };
}
