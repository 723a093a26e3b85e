import type { StoreBalance } from "../days/balance";
import type { LogEntry } from "../record/record";
import { foldBook } from "./bookFold";
import { toDays } from "./civil";
import { findSeason, learnRate } from "./learnRate";

/** How a store stands now: what is in it by the sum, with a band of one in ten to each side. */
export type NowLevel = {
  readonly storeId: string;
  readonly holds: StoreBalance["holds"];
  readonly litres: number;
  readonly lowL: number;
  readonly highL: number;
  readonly roomL: number;
  /** L a day as it has been learned, with the standard error. */
  readonly perDayL: number;
  readonly perDayErrorL: number;
  /** Days until it is full, or empty; null where nothing changes. */
  readonly daysLeft: number | null;
  /** Since which entry it is reckoned; null where the log is silent. */
  readonly since: string | null;
  /** A reading that differs from the sum by more than chance allows, L; null where none does. */
  readonly oddL: number | null;
};

/** One in ten to each side of a normal. */
const Z10 = 1.2816;
/** Where a store stands at a moment, from its log and its balance. `at` as YYYY-MM-DDTHH:MM, local. */
export function computeNow(balance: StoreBalance, entries: readonly LogEntry[], at: string): NowLevel {
  const { holds, store } = balance;
  const isFresh = holds === "fresh";
  const roomL = balance.roomL.here;
  const { meanLPerDay: priorL, varianceL2PerDay } = balance;
  const useL = priorL > 0 ? Math.max(0.5, varianceL2PerDay / priorL || priorL / 4) : 1;
  const { sums, fix, oddL } = foldBook(entries, { storeId: store.id, isFresh, roomL, priorL, useL }, at);
  const { meanL, errorL } = learnRate(sums, priorL, useL, findSeason(at));
  const days = fix ? Math.max(0, toDays(at) - toDays(fix.at)) : 0;
  const start = fix?.litres ?? (isFresh ? roomL : 0);
  const moved = meanL * days;
  const litres = clamp(isFresh ? start - moved : start + moved, roomL);
  const spread = Z10 * Math.sqrt(meanL * useL * days + (errorL * days) ** 2);
  const left = isFresh ? litres : roomL - litres;
  return {
    storeId: store.id,
    holds,
    litres,
    lowL: clamp(litres - spread, roomL),
    highL: clamp(litres + spread, roomL),
    roomL,
    perDayL: meanL,
    perDayErrorL: errorL,
    daysLeft: meanL > 0 ? left / meanL : null,
    since: fix?.at ?? null,
    oddL,
  };
}

const clamp = (litres: number, roomL: number): number => Math.min(roomL, Math.max(0, litres));
