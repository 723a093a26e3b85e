import type { Design } from "../design/design";
import type { HeldWater } from "../design/plumbing";
import { buildGearGraph, type GearGraph, toPortNode } from "./gearGraph";
import { ALL_OPEN, findPassing, type Setting, toSetting } from "./settings";
import { type FlowResult, solveFlows } from "./solveFlows";

/** Which water wins where two meet: the fouler one. */
const RANK: Readonly<Record<HeldWater, number>> = { fresh: 0, loop: 1, grey: 2, black: 3 };

/** Less than this is no flow worth showing, L/min. */
export const LEAST_LPM = 0.01;

/**
 * Which water stands or runs in each link: downstream of what flows first, and where nothing flows that of the nearest
 * tank by an open way. What comes out of a toilet is black, whatever it is flushed with. Where two waters meet the fouler one is
 * said, on the safe side.
 */
export function findWaterInHoses(
  graph: GearGraph,
  flows: Pick<FlowResult, "links">,
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
  const bowls = new Set(graph.links.flatMap((link) => (isBowl(link) ? [link.id] : [])));
  for (const id of bowls) if (put(toPortNode(id, "waste"), "black")) open.push(toPortNode(id, "waste"));
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    const water = byNode.get(node)!;
    for (const link of graph.links) {
      if ((link.from !== node && link.to !== node) || bowls.has(link.id)) continue;
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

const isBowl = (link: GearGraph["links"][number]): boolean => link.kind === "inside" && link.gear.spec.kind === "bowl";

/**
 * The foulest water that stands or runs in each link in any of the working states, at rest where there is none; where none comes
 * by itself, what could come with everything open.
 */
export function findFoulestInHoses(design: Design): ReadonlyMap<string, HeldWater> {
  const foulest = new Map<string, HeldWater>();
  if (design.gear.length === 0) return foulest;
  const graph = buildGearGraph(design);
  const opened = findWaterOpened(graph);
  for (const state of design.states.length > 0 ? design.states : [null]) {
    const setting = toSetting(state);
    for (const [id, water] of findWaterInHoses(graph, solveFlows(design, graph, setting), setting)) {
      foulest.set(id, pickFouler(water, foulest.get(id) ?? water));
    }
  }
  return new Map([...opened, ...foulest]);
}

/** The foulest water that could come into each link with everything open and every tank full. */
export function findWaterOpened(graph: GearGraph): ReadonlyMap<string, HeldWater> {
  const ends = graph.ends.map((end) => ({ ...end, isDry: !end.isEverWet }));
  return findWaterInHoses({ ...graph, ends }, { links: [] }, ALL_OPEN);
}

/** The fouler of two waters. */
export const pickFouler = (a: HeldWater, b: HeldWater): HeldWater => (RANK[a] >= RANK[b] ? a : b);
