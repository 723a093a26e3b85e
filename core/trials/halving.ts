import type { Design } from "../design/design";
import { computeAccumulatorDrawL } from "../gear/accumulator";
import { buildGearGraph, type GearGraph, toPortNode } from "../gear/gearGraph";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import type { Chance } from "./findFault";

/** A stop valve that would part the search: shut, what lies behind it is out of the trial. */
export type Halving = {
  readonly hoseId: string;
  /** Share of the suspicion that lies behind it, away from the pump, (0, 1). */
  readonly behindShare: number;
};

/** Nearer to one side than this a valve is not worth its joints [T]. */
const LEAST_SHARE = 0.25;

/**
 * The hose in which a stop valve would part what is suspected of the pumped side the most evenly; null where none parts it
 * so that a quarter lies on either side, or a valve is there already. Source: bisection [C].
 */
export function findHalving(design: Design, chances: readonly Chance[]): Halving | null {
  const graph = buildGearGraph(design);
  const weights = new Map<string, number>();
  for (const { suspect, share } of chances) {
    const { at, kind } = suspect;
    const isPumped = kind === "hoseEnd" || kind === "gearBody";
    if (isPumped && (at.kind === "gear" || at.kind === "line")) weights.set(at.id, (weights.get(at.id) ?? 0) + share);
  }
  const pumps = design.gear.filter(({ spec }) => spec.kind === "pump").map(({ id }) => id);
  const hoses = graph.links.flatMap((link) => (link.kind === "hose" ? [link] : []));
  const pumped = [...pumps, ...hoses.map(({ id }) => id), ...design.gear.map(({ id }) => id)];
  const whole = [...new Set(pumped)].reduce((sum, id) => sum + (weights.get(id) ?? 0), 0);
  if (whole <= 0 || pumps.length === 0) return null;
  let best: Halving | null = null;
  for (const hose of hoses) {
    const near = reachFrom(graph, pumps, hose.id);
    const behind = [...weights].reduce((sum, [id, share]) => {
      const isPumped = pumped.includes(id) && id !== hose.id;
      return isPumped && !near.has(id) ? sum + share : sum;
    }, 0);
    const behindShare = behind / whole;
    if (behindShare < LEAST_SHARE || behindShare > 1 - LEAST_SHARE) continue;
    if (!best || Math.abs(behindShare - 0.5) < Math.abs(best.behindShare - 0.5))
      best = { hoseId: hose.id, behindShare };
  }
  return best;
}

// Gear and hoses that are still joined to a pump when one hose is shut, valves open.
function reachFrom(graph: GearGraph, pumps: readonly string[], shutId: string): ReadonlySet<string> {
  const reached = new Set<string>(pumps);
  const seen = new Set<string>();
  const open = [...graph.nodes.keys()].filter((node) => pumps.some((id) => node.startsWith(`${id}:`)));
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    if (seen.has(node)) continue;
    seen.add(node);
    reached.add(node.split(":")[0]!);
    for (const link of graph.links) {
      if (link.id === shutId || (link.from !== node && link.to !== node)) continue;
      reached.add(link.kind === "hose" ? link.id : link.gear.id);
      open.push(link.from === node ? link.to : link.from);
    }
  }
  return reached;
}

/**
 * Size of a leak from how long the pump rests, mL/min: what the accumulators that are open to it give between cut-out and cut-in over
 * that time, s > 0; of several pumps that have one, the most. Null without such a pump. Source: Boyle [P].
 * Example: 1 L, 170/180/310 kPa, 20 s → 915 mL/min.
 */
export function computeCycleLeakMlPerMin(design: Design, restS: number): number | null {
  if (!(restS > 0)) return null;
  const arcs = buildArcs(buildGearGraph(design), ALL_OPEN);
  const leaks = design.gear.flatMap(({ id, spec }): number[] => {
    if (spec.kind !== "pump" || spec.cutInKPa === null || spec.cutOutKPa === null) return [];
    const { cutInKPa, cutOutKPa } = spec;
    const reached = listReached(arcs, toPortNode(id, "out"));
    const drawL = design.gear.reduce(
      (sum, { id: storeId, spec: store }) =>
        store.kind === "accumulator" && reached.has(toPortNode(storeId, "in"))
          ? sum + computeAccumulatorDrawL(store.litres, store.prechargeKPa, cutInKPa, cutOutKPa)
          : sum,
      0,
    );
    return drawL > 0 ? [(drawL * 1_000 * 60) / restS] : [];
  });
  return leaks.length > 0 ? Math.max(...leaks) : null;
}
