import type { Balance } from "../days/balance";
import type { StoreFlow } from "../days/flows";
import type { Draw } from "../days/rates";
import type { Stop } from "../record/journey";
import type { LogEntry } from "../record/record";
import type { PlanInput, PlannedStore } from "./dumpPlan";
import { computeNow, listWayPriors, type NowLevel } from "./levels";

/**
 * What a plan stands on: the levels the logbook gives at a moment, the start of its first day unless it is told (YYYY-MM-DDTHH:MM), and the litres a day it has taught,
 * each use happening so much oftener or seldomer, with the error of what was learned. Where a level is not sure, the end of its band that is one in ten counts. Without a book the fresh water is full and the waste tanks are empty [C].
 */
export function buildPlanInput(
  balance: Balance,
  log: readonly LogEntry[],
  {
    stops,
    from,
    certainty,
    at = `${from}T00:00`,
  }: { readonly stops: readonly Stop[]; readonly from: string; readonly certainty: number; readonly at?: string },
): PlanInput {
  const levels = balance.stores
    .filter(({ holds }) => holds !== "loop")
    .map((store) => ({
      isCarried: store.store.tankIds.length === 0,
      now: computeNow(store, log, at, listWayPriors(balance, store.store.id)),
    }))
    .filter(({ now }) => now.perDayL > 0);
  const stores = levels.map(({ now, isCarried }): PlannedStore => {
    const { storeId, holds, lowL, highL, roomL, learnedDays, perDayL, perDayErrorL } = now;
    // what nobody has read since is taken at the worse end of its band
    const leftL = holds === "fresh" ? lowL : Math.max(0, roomL - highL);
    return { storeId, holds, roomL, isCarried, leftL, rateError: learnedDays > 0 ? perDayErrorL / perDayL : 0 };
  });
  const factors = new Map(
    levels.map(({ now }) => [now.storeId, now.designPerDayL > 0 ? now.perDayL / now.designPerDayL : 1]),
  );
  // the way that is lived now goes on all the way
  const wayId = levels[0]?.now.wayId;
  const lived = balance.stretches.find((stretch) => stretch.wayId === wayId) ?? balance.stretches[0];
  const stretches = (lived ? [lived, ...balance.stretches.filter((one) => one !== lived)] : []).map((stretch) => ({
    ...stretch,
    // each use so much oftener or seldomer as the book has taught
    flows: stretch.flows.map((flow) => ({
      ...flow,
      draws: learnDraws(flow, factors, levels.find(({ now }) => now.storeId === flow.storeId)?.now),
    })),
  }));
  return { stores, stretches, stops, from, certainty };
}

// What fills or empties although the design has no use for it comes evenly, as the book has it.
function learnDraws(
  { draws, storeId }: StoreFlow,
  factors: ReadonlyMap<string, number>,
  now: NowLevel | undefined,
): readonly Draw[] {
  if (now && draws.length === 0) return [{ useId: `book ${storeId}`, litres: now.perDayL, perDay: 1, byChance: false }];
  return draws.map((draw) => ({ ...draw, perDay: draw.perDay * (factors.get(storeId) ?? 1) }));
}
