import type { Design } from "../design/design";
import type { GearSpec } from "../design/gear";
import type { GearEnd, GearGraph, GearLink } from "./gearGraph";
import { computeLinkLossPa, computePumpPa, toPa, USUAL_LOAD } from "./linkLoss";
import { findPassing, type Setting } from "./settings";
import { type EliminationPlan, eliminate, planElimination } from "./sparse";

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

type Side = { readonly a: number; readonly b: number };

type Edge = Side & {
  readonly link: GearLink | null;
  readonly end: GearEnd | null;
  readonly isOneWay: boolean;
  readonly crackPa: number;
  /** Pressure it takes at a flow ≥ 0. */
  readonly loss: (flow: number) => number;
  /** Pressure it gives at a flow ≥ 0. */
  readonly gain: ((flow: number) => number) | null;
};

const ROUNDS = 200;
const CLOSED_ENOUGH = 1e-12;
/** The tap itself and the mouth of an opening, kPa at L/min [T]. */
const MOUTH = { dropKPa: 0.5, atLpm: 10 };
/** A dead end keeps this little flow open, so that its pressure is known, m³/s a Pa. */
const LEAK = 1e-22;

/**
 * Steady flows and pressures of the pumped side in one setting: Newton on heads and flows together, friction after Darcy
 * and Weisbach, pumps by their curves, what lets water one way only by its sense. Filters loaded by a share in [0, 1].
 * What is not joined to water or to the open stands still. Source: the gradient method of Todini and Pilati [P].
 */
export function solveFlows(design: Design, graph: GearGraph, setting: Setting, load = USUAL_LOAD): FlowResult {
  const { ids, index, plan, specOf } = indexGraph(design, graph);
  // every end is a node of its own with a fixed pressure
  const fixed: number[] = [];
  const edges: Edge[] = [];
  for (const link of graph.links) {
    const edge = toEdge(link, index, setting, load);
    if (edge) edges.push(edge);
  }
  for (const end of graph.ends) {
    const spec = end.gearId === null ? undefined : specOf.get(end.gearId);
    if (!isOpen(spec, end, setting)) continue;
    const at = index.get(end.node)!;
    const mouth = spec?.kind === "tap" && spec.dropKPa > 0 ? spec : MOUTH;
    // air does not come in here, nor water where there is none
    const isOneWay = end.kind === "air" || end.isDry;
    edges.push({
      a: at,
      b: ids.length + fixed.length,
      link: null,
      end,
      isOneWay,
      crackPa: 0,
      loss: (flow) => mouth.dropKPa * 1000 * ((flow * 60_000) / mouth.atLpm) ** 2,
      gain: null,
    });
    fixed.push(toPa(end.headMm) + end.overKPa * 1000);
  }
  const solved = solve(ids.length, fixed, edges, plan);
  return report(graph, ids, fixed, edges, solved);
}

type Indexed = {
  readonly ids: readonly string[];
  readonly index: ReadonlyMap<string, number>;
  readonly plan: EliminationPlan;
  readonly specOf: ReadonlyMap<string, GearSpec>;
};

/** What is the same in every setting of a graph; a valve that is turned asks for no more than its numbers. */
const indexed = new WeakMap<GearGraph, Indexed>();

function indexGraph(design: Design, graph: GearGraph): Indexed {
  const known = indexed.get(graph);
  if (known) return known;
  const ids = [...graph.nodes.keys()];
  const index = new Map(ids.map((id, i) => [id, i]));
  const plan = planElimination(
    ids.length,
    graph.links.map(({ from, to }) => [index.get(from)!, index.get(to)!]),
  );
  const specOf = new Map(design.gear.map(({ id, spec }) => [id, spec]));
  const made = { ids, index, plan, specOf };
  indexed.set(graph, made);
  return made;
}

function isOpen(spec: GearSpec | undefined, { gearId, kind }: GearEnd, setting: Setting): boolean {
  if (spec?.kind === "tap") return setting.isTapOpen(gearId!);
  if (spec?.kind === "coupling" && kind === "air") return setting.isTapOpen(gearId!);
  return true;
}

function toEdge(link: GearLink, index: ReadonlyMap<string, number>, setting: Setting, load: number): Edge | null {
  const passing = findPassing(link, setting);
  if (!passing.forward && !passing.back) return null;
  const spec = link.kind === "inside" ? link.gear.spec : null;
  const isPump = spec?.kind === "pump" && passing.isDriven;
  return {
    a: index.get(link.from)!,
    b: index.get(link.to)!,
    link,
    end: null,
    isOneWay: !passing.back,
    crackPa: spec?.kind === "nonReturn" ? spec.crackKPa * 1000 : 0,
    loss: (flow) => computeLinkLossPa(link, flow, load),
    gain: isPump && spec?.kind === "pump" ? (flow) => computePumpPa(spec, flow) : null,
  };
}

type Solved = {
  readonly heads: readonly number[];
  readonly flows: readonly number[];
  readonly set: readonly boolean[];
};

// Pressure that is lost over an edge at a flow of either sense, and how it grows with it.
function lossAt(edge: Edge, flow: number): { readonly pa: number; readonly slope: number } {
  const sense = flow < 0 ? -1 : 1;
  const size = Math.max(Math.abs(flow), 1e-9);
  const step = size * 1e-4;
  const loss = edge.loss(size);
  const gainSlope = edge.gain ? ((edge.gain(size + step) - edge.gain(size - step)) / (2 * step)) * sense : 0;
  const slope = Math.max((edge.loss(size + step) - loss) / step - gainSlope, 1e3);
  const pa = loss * sense - (edge.gain ? edge.gain(flow < 0 ? 0 : size) : 0) + edge.crackPa * sense;
  return { pa, slope };
}

function solve(count: number, fixed: readonly number[], edges: readonly Edge[], plan: EliminationPlan): Solved {
  const shut = edges.map(() => false);
  const flows = edges.map(() => 1e-4);
  const heads = new Array<number>(count).fill(fixed.length > 0 ? Math.max(...fixed) : 0);
  const headOf = (i: number) => (i < count ? heads[i]! : fixed[i - count]!);
  let set = findSet(count, edges, shut);
  const places = edges.map(({ a, b }) => (a < count && b < count && a !== b ? plan.pairOf(a, b) : -1));
  for (let round = 0; round < ROUNDS; round++) {
    const diagonal = new Float64Array(count);
    const right = new Float64Array(count);
    const pairs = new Float64Array(plan.pairs);
    for (let i = 0; i < count; i++) diagonal[i] = set[i] ? LEAK : 1;
    const terms = edges.map((edge, e) =>
      shut[e] || !(isSet(set, edge.a, count) && isSet(set, edge.b, count)) ? null : lossAt(edge, flows[e]!),
    );
    terms.forEach((term, e) => {
      if (!term) return;
      const { a, b } = edges[e]!;
      const p = 1 / term.slope;
      // the flow this edge would have with no difference of pressure over it
      const free = flows[e]! - term.pa * p;
      if (a < count) {
        diagonal[a]! += p;
        right[a]! -= free;
        if (b >= count) right[a]! += p * fixed[b - count]!;
        else if (a !== b) pairs[places[e]!]! -= p;
      }
      if (b < count) {
        diagonal[b]! += p;
        right[b]! += free;
        if (a >= count) right[b]! += p * fixed[a - count]!;
      }
    });
    const next = eliminate(plan, diagonal, pairs, right);
    for (let i = 0; i < count; i++) if (set[i]) heads[i] = next[i]!;
    let moved = 0;
    terms.forEach((term, e) => {
      if (!term) {
        flows[e] = 0;
        return;
      }
      const { a, b } = edges[e]!;
      const flow = flows[e]! + (headOf(a) - headOf(b) - term.pa) / term.slope;
      moved += Math.abs(flow - flows[e]!);
      flows[e] = flow;
    });
    const size = flows.reduce((sum, flow) => sum + Math.abs(flow), 0);
    const isSettled = moved <= CLOSED_ENOUGH + 1e-10 * size;
    // what goes against a one-way piece shuts it; one that is shut opens when the pressure over it says so
    let turned = false;
    if (isSettled || round % 10 === 9) {
      edges.forEach((edge, e) => {
        if (!edge.isOneWay) return;
        if (!shut[e] && flows[e]! < -1e-10) {
          shut[e] = true;
          flows[e] = 0;
          turned = true;
        } else if (
          shut[e] &&
          headOf(edge.a) - headOf(edge.b) > edge.crackPa - (edge.gain?.(0) ?? 0) + 1e-3 &&
          set[edge.a]
        ) {
          shut[e] = false;
          flows[e] = 1e-6;
          turned = true;
        }
      });
      if (turned) set = findSet(count, edges, shut);
    }
    if (isSettled && !turned) break;
  }
  return { heads, flows: flows.map((flow, e) => (shut[e] ? 0 : flow)), set };
}

const isSet = (set: readonly boolean[], i: number, count: number): boolean => i >= count || set[i]!;

// Nodes that are joined, by what is open, to something whose pressure is given.
function findSet(count: number, edges: readonly Edge[], shut: readonly boolean[]): boolean[] {
  const set = new Array<boolean>(count).fill(false);
  // over and over until nothing more is joined: rigs have some dozens of edges, in the order the water goes
  for (let grew = true; grew; ) {
    grew = false;
    for (let e = 0; e < edges.length; e++) {
      if (shut[e]) continue;
      const { a, b } = edges[e]!;
      const [isA, isB] = [isSet(set, a, count), isSet(set, b, count)];
      if (isA === isB) continue;
      set[isA ? b : a] = true;
      grew = true;
    }
  }
  return set;
}

function report(
  graph: GearGraph,
  ids: readonly string[],
  fixed: readonly number[],
  edges: readonly Edge[],
  { heads, flows, set }: Solved,
): FlowResult {
  const headOf = (i: number) => (i < ids.length ? heads[i]! : fixed[i - ids.length]!);
  const sums = new Array<number>(ids.length).fill(0);
  edges.forEach(({ a, b }, e) => {
    if (a < ids.length) sums[a]! -= flows[e]!;
    if (b < ids.length) sums[b]! += flows[e]!;
  });
  const byLink = new Map(edges.flatMap((edge, e) => (edge.link ? [[edge.link.id, e] as const] : [])));
  return {
    links: graph.links.map(({ id }) => {
      const e = byLink.get(id);
      if (e === undefined) return { id, lpm: 0, lossKPa: 0 };
      const { a, b } = edges[e]!;
      const isKnown = isSet(set, a, ids.length) && isSet(set, b, ids.length);
      return { id, lpm: flows[e]! * 60_000, lossKPa: isKnown ? (headOf(a) - headOf(b)) / 1000 : 0 };
    }),
    nodes: ids.map((id, i) => ({
      id,
      kPa: set[i] ? (heads[i]! - toPa(graph.nodes.get(id)!.atMm.z)) / 1000 : null,
    })),
    ends: edges.flatMap(({ end }, e) => (end ? [{ node: end.node, lpm: flows[e]! * 60_000 }] : [])),
    residualLpm: Math.max(0, ...sums.filter((_, i) => set[i]).map((sum) => Math.abs(sum) * 60_000)),
  };
}
