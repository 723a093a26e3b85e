import type { FlowStretch } from "../days/flows";
import { createRandom } from "../days/random";
import type { Moment, PlannedStore } from "./dumpPlan";

/**
 * The share of so many journeys, lived through use by use, on which nothing runs over or dry with the services of a plan.
 * Independent of the exact chances: each use comes by a Poisson number between services, and what empties the fresh water
 * fills the waste at once. Journeys ≥ 1; the same seed gives the same journeys [C].
 */
export function livePlan(
  stores: readonly PlannedStore[],
  stretches: readonly FlowStretch[],
  services: readonly Moment[],
  lastDay: number,
  { journeys, seed }: { readonly journeys: number; readonly seed: number },
): number {
  const random = createRandom(seed);
  const uses = listJointUses(stores, stretches[0]);
  const ends = [
    ...services.map((moment) => ({ day: moment.day, served: moment.storeIds })),
    { day: lastDay, served: [] },
  ];
  let held = 0;
  for (let i = 0; i < journeys; i++) {
    const left = stores.map(({ leftL }) => leftL);
    let day = 0;
    let isOver = false;
    for (const { day: until, served } of ends) {
      for (const { perDay, byChance, parts } of uses) {
        const mean = perDay * (until - day);
        const times = byChance ? drawPoisson(mean, random) : mean;
        for (const { store, litres } of parts) left[store]! -= times * litres;
      }
      day = until;
      if (left.some((litres) => litres < -1e-9)) {
        isOver = true;
        break;
      }
      stores.forEach(({ storeId, roomL }, s) => {
        if ((served as readonly string[]).includes(storeId)) left[s] = roomL;
      });
    }
    if (!isOver) held += 1;
  }
  return held / journeys;
}

type JointUse = {
  readonly perDay: number;
  readonly byChance: boolean;
  readonly parts: { readonly store: number; readonly litres: number }[];
};

function listJointUses(stores: readonly PlannedStore[], stretch: FlowStretch | undefined): JointUse[] {
  const byUse = new Map<string, JointUse>();
  for (const { storeId, draws } of stretch?.flows ?? []) {
    const store = stores.findIndex((one) => one.storeId === storeId);
    if (store < 0) continue;
    for (const { useId, litres, perDay, byChance } of draws) {
      const known = byUse.get(useId) ?? { perDay, byChance, parts: [] };
      known.parts.push({ store, litres });
      byUse.set(useId, known);
    }
  }
  return [...byUse.values()];
}

// Waiting times one after the other until the mean is used up.
function drawPoisson(mean: number, random: () => number): number {
  let count = 0;
  let at = -Math.log(1 - random());
  while (at < mean) {
    count += 1;
    at -= Math.log(1 - random());
  }
  return count;
}
