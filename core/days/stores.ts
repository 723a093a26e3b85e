import type { Design } from "../design/design";
import type { Use, Vessel } from "../design/habits";
import type { HeldWater, Tank } from "../design/plumbing";
import { followDrain, type Network } from "../falls/network";
import { listSentOn } from "../heads/sentOn";
import { listStoreGroup } from "../tanks/linkedTanks";

/** Something that fills or runs out: tanks that store together, all fresh water, or one vessel of waste. */
export type Store = {
  /** The first tank's id, a vessel's id, or "fresh". */
  readonly id: string;
  readonly holds: HeldWater;
  readonly tankIds: readonly string[];
  readonly vesselIds: readonly string[];
};

/** All fresh water is one store: people draw until none is left in any of it. */
export const FRESH_ID = "fresh-water-store";

/**
 * What holds water on a rig: every group of waste tanks that store together, every vessel of waste, and the fresh water as
 * one. Tanks that are not linked are never added up [C].
 */
export function listStores({ tanks, habits }: Pick<Design, "tanks" | "habits">): Store[] {
  const seen = new Set<string>();
  const waste = tanks.flatMap((tank): Store[] => {
    if (tank.holds === "fresh" || seen.has(tank.id)) return [];
    const group = listStoreGroup({ tanks }, tank);
    for (const { id } of group) seen.add(id);
    return [{ id: tank.id, holds: tank.holds, tankIds: group.map(({ id }) => id), vesselIds: [] }];
  });
  const isFresh = ({ holds }: Tank | Vessel) => holds === "fresh";
  const fresh: Store = {
    id: FRESH_ID,
    holds: "fresh",
    tankIds: tanks.filter(isFresh).map(({ id }) => id),
    vesselIds: habits.vessels.filter(isFresh).map(({ id }) => id),
  };
  // waste on the other unit is joined by a hose while both stand together: it stores with the first tank of its water
  const joined = new Map<string, string[]>();
  const alone: Vessel[] = [];
  for (const vessel of habits.vessels.filter((one) => !isFresh(one))) {
    const mate = vessel.on === "tow" ? waste.find(({ holds }) => holds === vessel.holds) : undefined;
    if (mate) joined.set(mate.id, [...(joined.get(mate.id) ?? []), vessel.id]);
    else alone.push(vessel);
  }
  return [
    ...(fresh.tankIds.length + fresh.vesselIds.length > 0 ? [fresh] : []),
    ...waste.map((store) => ({ ...store, vesselIds: joined.get(store.id) ?? [] })),
    ...alone.map(({ id, holds }): Store => ({ id, holds, tankIds: [], vesselIds: [id] })),
  ];
}

/** Where what one use sends ends: a store's id, the sea where it runs overboard, or the ground where no drain carries it. */
export type UseEnd =
  | { readonly kind: "store"; readonly id: string }
  | { readonly kind: "ground" }
  | { readonly kind: "overboard" };

/** Finds for a use the store its water ends in: its vessel, or the tank at the end of its fixture's drain. */
export function findUseEnd(
  network: Network,
  stores: readonly Store[],
  { kind, fixtureId, vesselId }: Pick<Use, "kind" | "fixtureId" | "vesselId">,
): UseEnd {
  const find = (isIt: (store: Store) => boolean): UseEnd => {
    const store = stores.find(isIt);
    return store ? { kind: "store", id: store.id } : { kind: "ground" };
  };
  if (vesselId !== null) return find(({ vesselIds, holds }) => holds !== "fresh" && vesselIds.includes(vesselId));
  for (const drain of network.drains.values()) {
    if (drain.fromFixture !== fixtureId) continue;
    const { to } = followDrain(network, drain).at(-1)!;
    if (to.kind === "inlet") return find(({ tankIds }) => tankIds.includes(to.tankId));
    if (to.kind === "overboard") return { kind: "overboard" };
    if (to.kind === "sump") {
      const end = findSentEnd(network, stores, to.gearId);
      if (end) return end;
    }
    if (to.kind === "vessel")
      return find(({ vesselIds, holds }) => holds !== "fresh" && vesselIds.includes(to.vesselId));
  }
  // toilets that are pieces of gear: the hose of one leads to a tank, or overboard
  if (kind === "toilet" && fixtureId === null) {
    const ends = [...network.gear.values()].flatMap(({ id, spec }) =>
      spec.kind === "bowl" ? (findSentEnd(network, stores, id) ?? []) : [],
    );
    const [filled] = ends.flatMap((end) => (end.kind === "store" ? [end] : [])).sort((a, b) => (a.id < b.id ? -1 : 1));
    return filled ?? ends[0] ?? { kind: "ground" };
  }
  return { kind: "ground" };
}

// What a sump or a toilet sends on: a tank of waste goes before the sea, because it fills. Null where its hose ends nowhere.
function findSentEnd(network: Network, stores: readonly Store[], gearId: string): UseEnd | null {
  const { tankIds, isOverboard } = listSentOn(network, gearId);
  for (const tankId of tankIds) {
    const store = stores.find(({ tankIds: own, holds }) => holds !== "fresh" && own.includes(tankId));
    if (store) return { kind: "store", id: store.id };
  }
  return isOverboard ? { kind: "overboard" } : null;
}
