import type { Design } from "../design/design";
import type { GearEnd, GearGraph, GearLink } from "./gearGraph";
import { computeLinkLossPa, computePumpPa, toPa, USUAL_LOAD } from "./linkLoss";
import { findPassing, type Setting } from "./settings";

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
  const ids = [...graph.nodes.keys()];
  const index = new Map(ids.map((id, i) => [id, i]));
  // every end is a node of its own with a fixed pressure
  const fixed: number[] = [];
  const edges: Edge[] = [];
  for (const link of graph.links) {
    const edge = toEdge(link, index, setting, load);
    if (edge) edges.push(edge);
  }
  for (const end of graph.ends) {
    if (!isOpen(design, end, setting)) continue;
    const at = index.get(end.node)!;
    const spec = design.gear.find(({ id }) => id === end.gearId)?.spec;
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
  const solved = solve(ids.length, fixed, edges);
  return report(graph, ids, fixed, edges, solved);
}

function isOpen(design: Design, { gearId, kind }: GearEnd, setting: Setting): boolean {
  const spec = design.gear.find(({ id }) => id === gearId)?.spec;
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
  const at = (q: number) => edge.loss(q) - (edge.gain ? edge.gain(q) * sense : 0) + edge.crackPa;
  const step = size * 1e-4;
  const slope = Math.max((at(size + step) - at(size - step)) / (2 * step), 1e3);
  const pa = edge.loss(size) * sense - (edge.gain ? edge.gain(flow < 0 ? 0 : size) : 0) + edge.crackPa * sense;
  return { pa, slope };
}

function solve(count: number, fixed: readonly number[], edges: readonly Edge[]): Solved {
  const shut = edges.map(() => false);
  const flows = edges.map(() => 1e-4);
  const heads = new Array<number>(count).fill(fixed.length > 0 ? Math.max(...fixed) : 0);
  const headOf = (i: number) => (i < count ? heads[i]! : fixed[i - count]!);
  let set = findSet(count, edges, shut);
  for (let round = 0; round < ROUNDS; round++) {
    const matrix = Array.from({ length: count }, () => new Float64Array(count));
    const right = new Float64Array(count);
    for (let i = 0; i < count; i++) matrix[i]![i] = set[i] ? LEAK : 1;
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
        matrix[a]![a]! += p;
        right[a]! -= free;
        if (b < count) matrix[a]![b]! -= p;
        else right[a]! += p * fixed[b - count]!;
      }
      if (b < count) {
        matrix[b]![b]! += p;
        right[b]! += free;
        if (a < count) matrix[b]![a]! -= p;
        else right[b]! += p * fixed[a - count]!;
      }
    });
    const next = eliminate(matrix, right);
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
  const next = new Map<number, number[]>();
  edges.forEach(({ a, b }, e) => {
    if (shut[e]) return;
    next.set(a, [...(next.get(a) ?? []), b]);
    next.set(b, [...(next.get(b) ?? []), a]);
  });
  const set = new Array<boolean>(count).fill(false);
  const seen = new Set<number>();
  const open = [...next.keys()].filter((i) => i >= count);
  for (let i = open.pop(); i !== undefined; i = open.pop()) {
    if (seen.has(i)) continue;
    seen.add(i);
    if (i < count) set[i] = true;
    open.push(...(next.get(i) ?? []));
  }
  return set;
}

// Gauss with pivots: networks of a rig have some hundred nodes at most.
function eliminate(matrix: Float64Array[], right: Float64Array): Float64Array {
  const n = right.length;
  for (let k = 0; k < n; k++) {
    let pivot = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(matrix[i]![k]!) > Math.abs(matrix[pivot]![k]!)) pivot = i;
    [matrix[k], matrix[pivot]] = [matrix[pivot]!, matrix[k]!];
    [right[k], right[pivot]] = [right[pivot]!, right[k]!];
    const row = matrix[k]!;
    if (row[k] === 0) continue;
    for (let i = k + 1; i < n; i++) {
      const other = matrix[i]!;
      if (other[k] === 0) continue;
      const factor = other[k]! / row[k]!;
      for (let j = k; j < n; j++) other[j]! -= factor * row[j]!;
      right[i]! -= factor * right[k]!;
    }
  }
  for (let k = n - 1; k >= 0; k--) {
    let sum = right[k]!;
    for (let j = k + 1; j < n; j++) sum -= matrix[k]![j]! * right[j]!;
    right[k] = matrix[k]![k] === 0 ? 0 : sum / matrix[k]![k]!;
  }
  return right;
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
