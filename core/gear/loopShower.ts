import type { Design } from "../design/design";
import type { Gear, GearOf, WorkingState } from "../design/gear";
import { buildGearGraph, type GearGraph } from "./gearGraph";
import { buildArcs, findWays, listReached } from "./reach";
import { toSetting } from "./settings";
import { type FlowResult, solveFlows } from "./solveFlows";

/** A state in which the loop's own water is pumped out of a shower's head, and what runs then. */
export type LoopShower = {
  readonly state: WorkingState;
  readonly tap: GearOf<"tap">;
  readonly graph: GearGraph;
  readonly flows: FlowResult;
  /** Out of the head, L/min. */
  readonly lpm: number;
  /** What the loop's water runs through on its way, in the order of the design; and the accumulators that are open to it. */
  readonly onWay: readonly Gear[];
  readonly accumulators: readonly GearOf<"accumulator">[];
};

/** Less than this does not run, L/min. */
const STILL_LPM = 1e-6;

/**
 * Of all states in which the loop's water is pumped to a shower, and of all heads open in it, the one that runs the most: lamp and
 * filters are held against that. Null where none is. Fresh water that comes to the same head is no loop [C].
 */
export function findLoopShower(design: Design): LoopShower | null {
  const heads = design.gear.filter(
    (piece): piece is GearOf<"tap"> => piece.spec.kind === "tap" && piece.spec.use === "shower",
  );
  const states = design.states.filter(({ openTaps }) => heads.some(({ id }) => openTaps.includes(id)));
  if (states.length === 0) return null;
  const graph = buildGearGraph(design);
  const sources = graph.ends.filter(({ holds, isEverWet }) => holds === "loop" && isEverWet);
  if (sources.length === 0) return null;
  let fastest: LoopShower | null = null;
  for (const state of states) {
    const arcs = buildArcs(graph, toSetting(state));
    const ways = sources.map((source) => findWays(graph, arcs, source));
    const fed = heads.filter(
      ({ id }) => state.openTaps.includes(id) && ways.some((way) => way.get(`${id}:in`)?.isDriven),
    );
    if (fed.length === 0) continue;
    const flows = solveFlows(design, graph, toSetting(state));
    for (const tap of fed) {
      const lpm = Math.max(0, flows.ends.find(({ node }) => node === `${tap.id}:in`)?.lpm ?? 0);
      if (fastest && lpm <= fastest.lpm + STILL_LPM) continue;
      const wet = new Set(sources.flatMap(({ node }) => [...listReached(arcs, node)]));
      fastest = { state, tap, graph, flows, lpm, ...listMet(design, graph, flows, wet) };
    }
  }
  return fastest;
}

// What water runs through where the loop's water comes to; where nothing runs at all, everything it comes to.
function listMet(
  design: Design,
  graph: GearGraph,
  flows: FlowResult,
  wet: ReadonlySet<string>,
): Pick<LoopShower, "onWay" | "accumulators"> {
  const running = new Set(flows.links.flatMap(({ id, lpm }) => (Math.abs(lpm) > STILL_LPM ? [id] : [])));
  const met = new Set(
    graph.links.flatMap((link) =>
      link.kind === "inside" && wet.has(link.from) && (running.size === 0 || running.has(link.id))
        ? [link.gear.id]
        : [],
    ),
  );
  return {
    onWay: design.gear.filter(({ id }) => met.has(id)),
    accumulators: design.gear.filter(
      (piece): piece is GearOf<"accumulator"> => piece.spec.kind === "accumulator" && wet.has(`${piece.id}:in`),
    ),
  };
}
