import type { Design } from "../design/design";
import type { HeldWater } from "../design/plumbing";
import type { Network } from "../falls/network";
import { computeMeanDays, type FlowStretch, listFlows, sumDraws } from "./flows";
import { FRESH_ID, listStores, type Store } from "./stores";

export const STANDS = ["level", "here", "worst"] as const;
export type BalanceStand = (typeof STANDS)[number];

/** What tanks hold at the three ways they are asked about, L; fresh ones, what can be drawn of it. */
export type TankRoom = {
  readonly tankId: string;
  readonly usableLevelL: number;
  readonly usableHereL: number;
  readonly usableWorstL: number;
  /** Fresh tanks: what cannot be drawn of it. */
  readonly undrawnL: Readonly<Record<BalanceStand, number>> | null;
};

/** One store with what comes into it or goes out of it, and how many days that lasts. */
export type StoreBalance = {
  readonly store: Store;
  readonly holds: HeldWater;
  /** Of the first stretch, L a day. */
  readonly meanLPerDay: number;
  readonly varianceL2PerDay: number;
  readonly roomL: Readonly<Record<BalanceStand, number>>;
  /** Fresh water: what stays in its tanks because it cannot be drawn, as the rig stands, L; a gauge shows it all the same. */
  readonly undrawnL: number;
  /** Days until full, or empty for fresh water; null where it never is. */
  readonly days: Readonly<Record<BalanceStand, number | null>>;
};

export type Balance = {
  readonly stores: readonly StoreBalance[];
  /** Id of the store that ends the stay first, and after how many days; null where nothing ever does. */
  readonly endsBy: Readonly<Record<BalanceStand, { readonly storeId: string; readonly days: number } | null>>;
  readonly groundLPerDay: number;
  readonly stretches: readonly FlowStretch[];
};

/**
 * The balance of every store by itself, from the uses of the ways of living: never a sum over what is not linked. Fresh
 * tanks give what can be drawn of them. Source: a balance [C].
 */
export function computeBalance(design: Design, network: Network, rooms: readonly TankRoom[]): Balance {
  const stores = listStores(design);
  const stretches = listFlows(design, network, stores);
  const balances = stores.map((store): StoreBalance => {
    const draws = stretches[0]?.flows.find(({ storeId }) => storeId === store.id)?.draws ?? [];
    const { meanL, varianceL2 } = sumDraws(draws);
    const roomL = {
      level: measureRoom(design, store, rooms, "usableLevelL"),
      here: measureRoom(design, store, rooms, "usableHereL"),
      worst: measureRoom(design, store, rooms, "usableWorstL"),
    };
    const undrawnL = rooms.reduce(
      (sum, { tankId, undrawnL: stays }) => (store.tankIds.includes(tankId) ? sum + (stays?.here ?? 0) : sum),
      0,
    );
    const daysOf = (stand: BalanceStand) => computeMeanDays(stretches, store.id, roomL[stand]);
    const days = { level: daysOf("level"), here: daysOf("here"), worst: daysOf("worst") };
    return { store, holds: store.holds, meanLPerDay: meanL, varianceL2PerDay: varianceL2, roomL, undrawnL, days };
  });
  const endsBy = (stand: BalanceStand) =>
    balances.reduce<{ readonly storeId: string; readonly days: number } | null>((first, { store, days }) => {
      const own = days[stand];
      return own === null || (first && first.days <= own) ? first : { storeId: store.id, days: own };
    }, null);
  return {
    stores: balances,
    endsBy: { level: endsBy("level"), here: endsBy("here"), worst: endsBy("worst") },
    groundLPerDay: stretches[0]?.groundLPerDay ?? 0,
    stretches,
  };
}

function measureRoom(
  { habits }: Design,
  { tankIds, vesselIds }: Store,
  rooms: readonly TankRoom[],
  key: "usableLevelL" | "usableHereL" | "usableWorstL",
): number {
  const tanksL = rooms.reduce((sum, room) => (tankIds.includes(room.tankId) ? sum + room[key] : sum), 0);
  return habits.vessels.reduce((sum, { id, litres }) => (vesselIds.includes(id) ? sum + litres : sum), tanksL);
}

/** Rooms at which the fresh water and the waste that is through first would end together, as the rig stands, L. */
export type EvenRooms = {
  readonly wasteId: string;
  /** Fresh water that lasts as long as that waste tank. */
  readonly freshL: number;
  /** Room of that waste tank that lasts as long as the fresh water. */
  readonly wasteL: number;
};

/** Finds them on the mean of a stay of one stretch; null for several, and where one of the two never ends [C]. Example: 70 L at 27.1 L/day and a
 * tank that takes 18.7 L/day → 48.3 L of room. */
export function findEvenRooms({ stores, stretches }: Balance): EvenRooms | null {
  if (stretches.length > 1) return null;
  const fresh = stores.find(({ store, days }) => store.id === FRESH_ID && days.here !== null);
  const wastes = stores.filter(({ holds, days }) => holds !== "fresh" && days.here !== null);
  const first = wastes.sort((a, b) => a.days.here! - b.days.here!)[0];
  if (!fresh || !first) return null;
  const freshDays = fresh.roomL.here / fresh.meanLPerDay;
  const wasteDays = first.roomL.here / first.meanLPerDay;
  return { wasteId: first.store.id, freshL: wasteDays * fresh.meanLPerDay, wasteL: freshDays * first.meanLPerDay };
}
