import type { Design } from "../design/design";
import { type Chained, createChained, createFigures, createNewtonRoom, type NewtonRoom } from "./flowRooms";
import type { GearEnd, GearGraph } from "./gearGraph";
import { type BoreLaw, toBoreLaw } from "./hoseLoss";
import { computeLinkLossPa, computeMouthLoss, type PumpLaw, toPa, toPumpLaw, toWaterPipe } from "./linkLoss";
import { findPassing, type Setting } from "./settings";

/**
 * A graph in numbers that are the same in every setting. Its edges are its links, then the mouths of its ends, in the order
 * of the graph; the far side of an end lies past the nodes, at its place among the fixed pressures.
 */
export type FlowNetwork = {
  readonly graph: GearGraph;
  readonly ids: readonly string[];
  readonly froms: Int32Array;
  readonly tos: Int32Array;
  /** What grows with the square of the flow, Pa at (m³/s)². */
  readonly square: Float64Array;
  /** Pressure that opens it, Pa. */
  readonly crackPa: Float64Array;
  /** Of a hose the place of its bore among the bores, −1 for all else; and its length by that bore. */
  readonly bore: Int32Array;
  readonly slenderness: Float64Array;
  readonly bores: readonly BoreLaw[];
  readonly pump: readonly (PumpLaw | null)[];
  /** Of a vented loop: below this, Pa of water over the floor, air comes in at its top and no water runs on; else −∞. */
  readonly breaksPa: Float64Array;
  readonly fixedPa: readonly number[];
  /** Edges at each node as linked lists: edge e stands in them at 2e for its `from` and at 2e + 1 for its `to`; −1 ends. */
  readonly first: Int32Array;
  readonly next: Int32Array;
  /** Height of each node, as Pa of water. */
  readonly heightPa: readonly number[];
  /** Of each end the tap or coupling that must be open for it, or null. */
  readonly opener: readonly (string | null)[];
  /** What the solver writes into, kept from setting to setting. */
  readonly chained: Chained;
  readonly newton: NewtonRoom;
  readonly isDriven: Uint8Array;
  /** No flow at any edge and no pressure at any node, to begin an answer with. */
  readonly noFlows: readonly number[];
  readonly noHeads: readonly number[];
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
  const count = graph.links.length + graph.ends.length;
  const bores: BoreLaw[] = [];
  const placeOf = new Map<number, number>();
  const network = {
    graph,
    ids,
    froms: new Int32Array(count),
    tos: new Int32Array(count),
    square: new Float64Array(count),
    crackPa: new Float64Array(count),
    bore: new Int32Array(count).fill(-1),
    slenderness: new Float64Array(count),
    bores,
    pump: new Array<PumpLaw | null>(count).fill(null),
    breaksPa: new Float64Array(count).fill(Number.NEGATIVE_INFINITY),
    fixedPa: graph.ends.map(({ headMm, overKPa }) => toPa(headMm) + overKPa * 1000),
    first: new Int32Array(ids.length + graph.ends.length).fill(-1),
    next: new Int32Array(2 * count),
    heightPa: ids.map((id) => toPa(graph.nodes.get(id)!.atMm.z)),
    opener: graph.ends.map((end) => {
      const kind = gearOf(end)?.kind;
      return kind === "tap" || (kind === "coupling" && end.kind === "air") ? end.gearId : null;
    }),
    chained: createChained(ids.length, graph.ends.length, count),
    newton: createNewtonRoom(ids.length, graph.ends.length, count),
    isDriven: new Uint8Array(count),
    noFlows: createFigures(count, 0),
    noHeads: createFigures(ids.length + graph.ends.length, Number.NaN),
  };
  graph.links.forEach((link, e) => {
    network.froms[e] = index.get(link.from)!;
    network.tos[e] = index.get(link.to)!;
    if (link.kind === "hose") {
      const { boreMm, lengthMm, lossK } = toWaterPipe(link);
      const place = placeOf.get(boreMm) ?? bores.push(toBoreLaw(boreMm)) - 1;
      placeOf.set(boreMm, place);
      network.square[e] = lossK * bores[place]!.velocityHead;
      if (lengthMm > 0) network.bore[e] = place;
      network.slenderness[e] = lengthMm / boreMm;
      return;
    }
    const { spec, atMm, sizeMm } = link.gear;
    // all pieces but hoses lose by the square alone
    network.square[e] = computeLinkLossPa(link, 1, load);
    if (spec.kind === "pump") network.pump[e] = toPumpLaw(spec);
    if (spec.kind === "nonReturn") network.crackPa[e] = spec.crackKPa * 1000;
    if (spec.kind === "ventedLoop") network.breaksPa[e] = toPa(atMm.z + sizeMm.z);
  });
  graph.ends.forEach((end, i) => {
    const e = graph.links.length + i;
    network.froms[e] = index.get(end.node)!;
    network.tos[e] = ids.length + i;
    network.square[e] = computeMouthLoss(gearOf(end));
  });
  listNeighbours(network);
  return network;
}

function listNeighbours({ froms, tos, first, next }: FlowNetwork): void {
  for (let e = 0; e < froms.length; e++) {
    next[2 * e] = first[froms[e]!]!;
    first[froms[e]!] = 2 * e;
    next[2 * e + 1] = first[tos[e]!]!;
    first[tos[e]!] = 2 * e + 1;
  }
}

/** Which edges let water through in a setting, which way, and which pumps are on. */
export function findPassages({ graph, isDriven, opener }: FlowNetwork, setting: Setting): Passages {
  const ways = new Uint8Array(isDriven.length);
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
