import type { Design } from "../design/design";
import type { GearKind } from "../design/gear";
import type { HeldWater } from "../design/plumbing";
import { FOUL, listTargets } from "./foulTargets";
import { buildGearGraph, type GearEnd, type GearGraph } from "./gearGraph";
import { buildBothWays, findWays } from "./reach";

/** Fluid categories of water that might flow back [P: EN 1717, from memory, 95 %]: 5 is a danger to health by germs. */
export const FLUID_CATEGORY: Readonly<Record<HeldWater | "sea", 1 | 2 | 3 | 4 | 5>> = {
  fresh: 1,
  loop: 5,
  grey: 5,
  black: 5,
  sea: 5,
};

/** Where foul water and fresh are joined by something, and what keeps them apart. */
export type Join = {
  readonly water: HeldWater | "sea";
  readonly from: string;
  readonly to: string;
  readonly tankId: string | null;
  readonly gearId: string | null;
  readonly category: 1 | 2 | 3 | 4 | 5;
  /** The links it goes along, from the foul side: ids of hoses and gear. */
  readonly way: readonly string[];
  /** Pieces on the way that can hold it back, from the foul side: valves, non-returns, pumps, air gaps. */
  readonly keptApartBy: readonly string[];
  /** An air gap stands between, over which the fresh water falls: the only thing that is asked for category 5 [P: EN 1717, AA or AB, from memory]. */
  readonly isEnough: boolean;
  /** Air gaps that are the wrong way round: over them the foul water falls towards the fresh. */
  readonly turnedGaps: readonly string[];
};

const PARTS = new Set<GearKind>(["valve", "diverter", "nonReturn", "pump", "airGap", "tap", "ventedLoop"]);

/** Every pair of foul and fresh water that is joined at all, taken that every piece lets water both ways [C]. */
export function listJoins(design: Design): Join[] {
  const graph = buildGearGraph(design);
  const arcs = buildBothWays(graph);
  const holdsBack = new Map(design.gear.map(({ id, spec }) => [id, spec.kind]));
  return graph.ends.flatMap((source: GearEnd) => {
    if (!FOUL.has(source.holds)) return [];
    const ways = findWays(graph, arcs, source);
    return listTargets(graph, design.gear, () => true, source).flatMap((target): Join[] => {
      const way = ways.get(target.node);
      if (!way || target.node === source.node || target.tankId === source.tankId) return [];
      const { pieces, turnedGaps } = splitWay(graph, source.node, way.links);
      const keptApartBy = [...new Set(pieces)].filter((id) => PARTS.has(holdsBack.get(id)!));
      return [
        {
          water: source.holds!,
          from: source.node,
          to: target.node,
          tankId: target.tankId,
          gearId: target.gearId,
          category: FLUID_CATEGORY[source.holds!],
          way: way.links,
          keptApartBy,
          isEnough: keptApartBy.some((id) => holdsBack.get(id) === "airGap"),
          turnedGaps,
        },
      ];
    });
  });
}

// Pieces on a way, and apart from them the air gaps over which it falls the way it goes: they hold nothing of it back.
function splitWay({ links, drops }: GearGraph, from: string, way: readonly string[]) {
  const byId = new Map([...links, ...drops].map((link) => [link.id, link]));
  const gaps = new Set(drops.map(({ id }) => id));
  const pieces: string[] = [];
  const turnedGaps: string[] = [];
  let node = from;
  for (const id of way) {
    const link = byId.get(id)!;
    const isOnward = link.from === node;
    if (link.kind === "inside") (isOnward && gaps.has(id) ? turnedGaps : pieces).push(link.gear.id);
    node = isOnward ? link.to : link.from;
  }
  return { pieces, turnedGaps };
}
