import type { HeldWater } from "../design/plumbing";
import type { GearGraph } from "./gearGraph";
import { findPassing, type Setting } from "./settings";
import type { FlowResult } from "./solveFlows";

/** Which water wins where two meet: the fouler one. */
const RANK: Readonly<Record<HeldWater, number>> = { fresh: 0, loop: 1, grey: 2, black: 3 };

/** Less than this is no flow worth showing, L/min. */
export const LEAST_LPM = 0.01;

/**
 * Which water stands or runs in each link: downstream of what flows first, and where nothing flows that of the nearest
 * tank by an open way. Where two waters meet the fouler one is said, on the safe side.
 */
export function findWaterInHoses(
  graph: GearGraph,
  flows: FlowResult,
  setting: Setting,
): ReadonlyMap<string, HeldWater> {
  const byNode = new Map<string, HeldWater>();
  const put = (node: string, water: HeldWater): boolean => {
    const known = byNode.get(node);
    if (known !== undefined && RANK[known] >= RANK[water]) return false;
    byNode.set(node, water);
    return true;
  };
  const lpmOf = new Map(flows.links.map(({ id, lpm }) => [id, lpm]));
  const open: string[] = [];
  for (const end of graph.ends) {
    if (end.holds === null || end.isDry) continue;
    // the sea is fouler than anything that is drunk
    if (put(end.node, end.holds === "sea" ? "grey" : end.holds)) open.push(end.node);
  }
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    const water = byNode.get(node)!;
    for (const link of graph.links) {
      if (link.from !== node && link.to !== node) continue;
      const lpm = lpmOf.get(link.id) ?? 0;
      const { forward, back } = findPassing(link, setting);
      const isForward = link.from === node;
      if (isForward ? !forward : !back) continue;
      // against what runs no water comes
      if (Math.abs(lpm) > LEAST_LPM && lpm > 0 !== isForward) continue;
      const next = isForward ? link.to : link.from;
      if (put(next, water)) open.push(next);
    }
  }
  return new Map(
    graph.links.flatMap((link): [string, HeldWater][] => {
      const lpm = lpmOf.get(link.id) ?? 0;
      const upstream = lpm < -LEAST_LPM ? link.to : link.from;
      const water = byNode.get(upstream) ?? byNode.get(link.to) ?? byNode.get(link.from);
      return water ? [[link.id, water]] : [];
    }),
  );
}
