import type { Design } from "../design/design";
import type { HeldWater, Hose, HoseWall } from "../design/plumbing";
import { buildGearGraph, type GearGraph, toPortNode } from "../gear/gearGraph";
import { ALL_OPEN, findPassing } from "../gear/settings";
import { measureHoseRun } from "./hoseRun";

/** Years until a hose with sewage in it smells through its wall; null where it never does [T]. */
const YEARS: Readonly<Record<HoseWall, number | null>> = { plain: 1, sanitation: 5, barrier: 10, rigid: null };
/** Where sewage stands in it for good, it comes through in half the time [T]. */
const STANDING_SHARE = 0.5;
/** So little in a low place is a film and no pool, L. */
const LEAST_POOL_L = 0.01;

/**
 * Hoses that black water can come into, whichever way valves are turned: from every bowl's waste and every black tank
 * along all that is open or can be opened, not through what lets water one way only.
 */
export function findFoulHoses(design: Design): ReadonlySet<string> {
  if (!design.lines.some(({ kind }) => kind === "hose")) return new Set();
  const graph = buildGearGraph(design);
  return spread(graph, [
    ...graph.ends.filter(({ holds }) => holds === "black").map(({ node }) => node),
    ...design.gear.filter(({ spec }) => spec.kind === "bowl").map(({ id }) => toPortNode(id, "waste")),
  ]).hoses;
}

/** The hoses on the waste side of a toilet with a pump, up to where its water stays or leaves the rig. */
export const listWasteHoses = (design: Design, bowlId: string): ReadonlySet<string> =>
  spread(buildGearGraph(design), [toPortNode(bowlId, "waste")]).hoses;

/** A toilet with a pump whose waste can come into something that is not made for it, whichever way valves are turned. */
export type MisledBowl = { readonly bowlId: string; readonly into: Exclude<HeldWater, "black"> | "sump" };

/** Toilets with a pump that send into a tank of other water or into a sump; one place is named for each. */
export function findMisledBowls(design: Design): MisledBowl[] {
  const bowls = design.gear.filter(({ spec }) => spec.kind === "bowl");
  if (bowls.length === 0) return [];
  const graph = buildGearGraph(design);
  return bowls.flatMap(({ id: bowlId }): MisledBowl[] => {
    const { nodes } = spread(graph, [toPortNode(bowlId, "waste")]);
    for (const { node, kind, holds, tankId } of graph.ends) {
      if (kind !== "tank" || !nodes.has(node) || holds === null || holds === "sea") continue;
      if (tankId === null) return [{ bowlId, into: "sump" }];
      if (holds !== "black") return [{ bowlId, into: holds }];
    }
    return [];
  });
}

type Spread = { readonly hoses: ReadonlySet<string>; readonly nodes: ReadonlySet<string> };

// Along all that is open or can be opened, not through what lets water one way only.
function spread(graph: GearGraph, starts: readonly string[]): Spread {
  const seen = new Set(starts);
  const open = [...seen];
  const foul = new Set<string>();
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    for (const link of graph.links) {
      if (link.from !== node && link.to !== node) continue;
      const isForward = link.from === node;
      const passing = findPassing(link, ALL_OPEN);
      // a bowl's flush comes in over its rim: nothing goes back through it
      const isBowl = link.kind === "inside" && link.gear.spec.kind === "bowl";
      if (isBowl || (isForward ? !passing.forward : !passing.back)) continue;
      if (link.kind === "hose") foul.add(link.id);
      const next = isForward ? link.to : link.from;
      if (seen.has(next)) continue;
      seen.add(next);
      open.push(next);
    }
  }
  return { hoses: foul, nodes: seen };
}

/** How long a hose with sewage in it keeps the smell in, years; null for ever. Undefined where its wall is not said. */
export function computeSmellYears(design: Design, hose: Hose): number | null | undefined {
  if (hose.wall === undefined) return undefined;
  const years = YEARS[hose.wall];
  if (years === null) return null;
  return measureHoseRun(design, hose).sagL > LEAST_POOL_L ? years * STANDING_SHARE : years;
}
