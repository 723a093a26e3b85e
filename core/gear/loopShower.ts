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
 * Every state in which the loop's water is pumped to a shower, with every head open in it. Fresh water that comes to the
 * same head is no loop [C].
 */
export function listLoopShowers(design: Design): LoopShower[] {
  const heads = design.gear.filter(
    (piece): piece is GearOf<"tap"> => piece.spec.kind === "tap" && piece.spec.use === "shower",
  );
  const states = design.states.filter(({ openTaps }) => heads.some(({ id }) => openTaps.includes(id)));
  if (states.length === 0) return [];
  const graph = buildGearGraph(design);
  const sources = graph.ends.filter(({ holds, isEverWet }) => holds === "loop" && isEverWet);
  if (sources.length === 0) return [];
  return states.flatMap((state): LoopShower[] => {
    const arcs = buildArcs(graph, toSetting(state));
    const fed = heads.flatMap((tap) => {
      const node = `${tap.id}:in`;
      const feeding = sources.filter((source) => findWays(graph, arcs, source).get(node)?.isDriven);
      return state.openTaps.includes(tap.id) && feeding.length > 0 ? [{ tap, node, feeding }] : [];
    });
    if (fed.length === 0) return [];
    const flows = solveFlows(design, graph, toSetting(state));
    return fed.map(({ tap, node, feeding }) => {
      const lpm = Math.max(0, flows.ends.find((end) => end.node === node)?.lpm ?? 0);
      // another loop's water comes elsewhere
      const wet = new Set(feeding.flatMap((source) => [...listReached(arcs, source.node)]));
      return { state, tap, graph, flows, lpm, ...listMet(design, graph, flows, wet) };
    });
  });
}

/** Of all of them the one that runs the most: tank and filters are reckoned by that. Null where there is none. */
export const findLoopShower = (design: Design): LoopShower | null =>
  listLoopShowers(design).reduce<LoopShower | null>(
    (most, one) => (most && one.lpm <= most.lpm + STILL_LPM ? most : one),
    null,
  );

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
