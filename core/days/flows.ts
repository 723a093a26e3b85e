import type { Design } from "../design/design";
import { buildNetwork, type Network } from "../falls/network";
import { LOOP_RENEWED_SHARE } from "../gear/waterQuality";
import { computeTimesPerDay, countPeople, type Draw, listStretches } from "./rates";
import { FRESH_ID, findUseEnd, listStores } from "./stores";

/** What happens to one store while a way of living lasts. */
export type StoreFlow = { readonly storeId: string; readonly draws: readonly Draw[] };

/** One stretch of a stay with what it does to each store, and what it puts on the ground, L a day. */
export type FlowStretch = {
  readonly wayId: string;
  readonly days: number;
  readonly flows: readonly StoreFlow[];
  readonly groundLPerDay: number;
};

/**
 * The uses of every stretch, store by store: fresh water is drawn from, waste filled. A use without a drain or vessel goes
 * on the ground. Source: a balance [C].
 */
export function listFlows(
  design: Design,
  network: Network = buildNetwork(design),
  stores = listStores(design),
): FlowStretch[] {
  const people = countPeople(design.habits.people);
  return listStretches(design.habits).map(({ way, days }) => {
    const byStore = new Map<string, Draw[]>(stores.map(({ id }) => [id, []]));
    let groundLPerDay = 0;
    for (const use of way.uses) {
      const perDay = computeTimesPerDay(use, people);
      if (perDay === 0) continue;
      const draw = (litres: number): Draw => ({ useId: use.id, litres, perDay, byChance: use.byChance });
      const end = findUseEnd(network, stores, use);
      // a loop gives back what it is given: only what is lost of it comes from the fresh water
      const isLoop = end.kind === "store" && stores.find(({ id }) => id === end.id)?.holds === "loop";
      const takenL = isLoop ? use.takesL * LOOP_RENEWED_SHARE : use.takesL;
      if (use.from === "fresh" && takenL > 0) byStore.get(FRESH_ID)?.push(draw(takenL));
      if (use.sendsL === 0 || isLoop) continue;
      if (end.kind === "store") byStore.get(end.id)!.push(draw(use.sendsL));
      else if (end.kind === "ground") groundLPerDay += use.sendsL * perDay;
    }
    return { wayId: way.id, days, groundLPerDay, flows: [...byStore].map(([storeId, draws]) => ({ storeId, draws })) };
  });
}

/** Mean and variance of what one store gains or loses in a day, L and L²: Σ λ s and, by chance, Σ λ s² [P: compound Poisson]. */
export function sumDraws(draws: readonly Draw[]): { readonly meanL: number; readonly varianceL2: number } {
  return draws.reduce(
    (sum, { litres, perDay, byChance }) => ({
      meanL: sum.meanL + litres * perDay,
      varianceL2: sum.varianceL2 + (byChance ? litres * litres * perDay : 0),
    }),
    { meanL: 0, varianceL2: 0 },
  );
}

/** Days until a store that begins with `litres` of room is through, at the mean of each stretch in turn; null where it never is [C]. */
export function computeMeanDays(stretches: readonly FlowStretch[], storeId: string, litres: number): number | null {
  let left = litres;
  let day = 0;
  for (const [i, { days, flows }] of stretches.entries()) {
    const { meanL } = sumDraws(flows.find((flow) => flow.storeId === storeId)?.draws ?? []);
    const isLast = i === stretches.length - 1;
    if (meanL > 0 && (isLast || left <= meanL * days)) return day + left / meanL;
    if (isLast) return null;
    left -= meanL * days;
    day += days;
  }
  return null;
}
