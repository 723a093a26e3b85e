import type { Balance } from "../days/balance";
import type { Stop } from "../record/journey";
import type { LogEntry } from "../record/record";
import type { PlanInput, PlannedStore } from "./dumpPlan";
import { computeNow } from "./levels";

/**
 * What a plan stands on: the levels the logbook gives at the start of a day, YYYY-MM-DD, and the litres a day it has taught,
 * each use happening so much oftener or seldomer. Without a book the fresh water is full and the waste tanks are empty [C].
 */
export function buildPlanInput(
  balance: Balance,
  log: readonly LogEntry[],
  { stops, from, certainty }: { readonly stops: readonly Stop[]; readonly from: string; readonly certainty: number },
): PlanInput {
  const levels = balance.stores
    .filter(({ holds, meanLPerDay }) => holds !== "loop" && meanLPerDay > 0)
    .map((store) => ({ store, now: computeNow(store, log, `${from}T00:00`) }));
  const stores = levels.map(({ now }): PlannedStore => {
    const { storeId, holds, litres, roomL } = now;
    return { storeId, holds, roomL, leftL: holds === "fresh" ? litres : Math.max(0, roomL - litres) };
  });
  const factors = new Map(levels.map(({ store, now }) => [now.storeId, now.perDayL / store.meanLPerDay]));
  const stretches = balance.stretches.map((stretch) => ({
    ...stretch,
    flows: stretch.flows.map((flow) => ({
      ...flow,
      draws: flow.draws.map((draw) => ({ ...draw, perDay: draw.perDay * (factors.get(flow.storeId) ?? 1) })),
    })),
  }));
  return { stores, stretches, stops, from, certainty };
}
