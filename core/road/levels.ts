import type { Balance, StoreBalance } from "../days/balance";
import { sumDraws } from "../days/flows";
import type { LogEntry } from "../record/record";
import { type FoldOf, foldBook, learnWay, moveOn, type WayPrior } from "./bookFold";

/** How a store stands now: what is in it by the sum, with a band of one in ten to each side. */
export type NowLevel = {
  readonly storeId: string;
  readonly holds: StoreBalance["holds"];
  readonly litres: number;
  readonly lowL: number;
  readonly highL: number;
  readonly roomL: number;
  /** Fresh water below the hole it is drawn through, L: not in the litres, and seen by a gauge. */
  readonly undrawnL: number;
  /** The way of living it is reckoned with: the one the book said last, or the first of the stay. */
  readonly wayId: string;
  /** L a day as it has been learned, with the standard error, and as the design has it. */
  readonly perDayL: number;
  readonly perDayErrorL: number;
  readonly designPerDayL: number;
  /** Days of the book that taught it, in this way of living. */
  readonly learnedDays: number;
  /** Days until it is full, or empty; null where nothing changes. */
  readonly daysLeft: number | null;
  /** The same, sooner than which it comes in one of ten: what is there, what a day takes and chance from here on are all not known. */
  readonly earlyDays: number | null;
  /** Since which entry it is reckoned; null where the log is silent. */
  readonly since: string | null;
  /** The last reading, where there is one. */
  readonly reading: { readonly at: string; readonly litres: number } | null;
  /** A reading that differs from the sum by more than chance allows, L; null where none does. */
  readonly oddL: number | null;
};

/** One in ten to each side of a normal. */
const Z10 = 1.2816;

/** The ways of living that a stay has, with what each takes of a store: the first is lived until the book says otherwise. */
export function listWayPriors({ stretches }: Pick<Balance, "stretches">, storeId: string): WayPrior[] {
  const seen = new Set<string>();
  return stretches.flatMap(({ wayId, flows }): WayPrior[] => {
    if (seen.has(wayId)) return [];
    seen.add(wayId);
    const { meanL, varianceL2 } = sumDraws(flows.find((flow) => flow.storeId === storeId)?.draws ?? []);
    return [toPrior(wayId, meanL, varianceL2)];
  });
}

const toPrior = (wayId: string, priorL: number, varianceL2: number): WayPrior => ({
  wayId,
  priorL,
  useL: priorL > 0 ? Math.max(0.5, varianceL2 / priorL || priorL / 4) : 1,
});

/**
 * Where a store stands at a moment, from its log, its balance and the ways of living (`listWayPriors`; one way of the
 * balance's own figures where none are given). `at` as YYYY-MM-DDTHH:MM, local.
 */
export function computeNow(
  balance: StoreBalance,
  entries: readonly LogEntry[],
  at: string,
  ways: readonly WayPrior[] = [],
): NowLevel {
  const { holds, store, meanLPerDay, varianceL2PerDay } = balance;
  const isFresh = holds === "fresh";
  const roomL = balance.roomL.here;
  const [first = toPrior("", meanLPerDay, varianceL2PerDay), ...others] = ways;
  const { undrawnL } = balance;
  const of: FoldOf = { storeId: store.id, isFresh, roomL, undrawnL, ways: [first, ...others] };
  const fold = foldBook(entries, of, at);
  const { meanL, errorL, priorL } = learnWay(of, fold, fold.wayId, at);
  const start = fold.fix ?? { at, litres: isFresh ? roomL : 0, varianceL2: 0 };
  const { litres, varianceL2, unboundL } = moveOn(of, fold, start, at);
  const spread = Z10 * Math.sqrt(varianceL2);
  const left = isFresh ? litres : roomL - litres;
  const way = of.ways.find(({ wayId }) => wayId === fold.wayId) ?? first;
  return {
    storeId: store.id,
    holds,
    litres,
    lowL: clamp(unboundL - spread, roomL),
    highL: clamp(unboundL + spread, roomL),
    roomL,
    undrawnL,
    wayId: fold.wayId,
    perDayL: meanL,
    perDayErrorL: errorL,
    designPerDayL: priorL,
    learnedDays: Object.values(fold.sums[fold.wayId] ?? {}).reduce((sum, { days }) => sum + days, 0),
    daysLeft: meanL > 0 ? left / meanL : null,
    earlyDays: meanL > 0 ? findEarlyDays(left, varianceL2, { meanL, errorL, useL: way.useL }) : null,
    since: fold.since,
    reading: fold.reading,
    oddL: fold.oddL,
  };
}

/**
 * The days after which so many litres are gone in one of ten, d ≥ 0: m d + z √(v + u m d + (e d)²) = L, with m a day and its
 * error e, u litres at a time by chance, v the variance of what is there. Source: a normal for a compound Poisson [C].
 */
function findEarlyDays(
  leftL: number,
  varianceL2: number,
  { meanL, errorL, useL }: { readonly meanL: number; readonly errorL: number; readonly useL: number },
): number {
  let [low, high] = [0, Math.max(0, leftL / meanL)];
  for (let i = 0; i < 40; i++) {
    const days = (low + high) / 2;
    const takenL = meanL * days + Z10 * Math.sqrt(varianceL2 + useL * meanL * days + (errorL * days) ** 2);
    if (takenL < leftL) low = days;
    else high = days;
  }
  return low;
}

const clamp = (litres: number, roomL: number): number => Math.min(roomL, Math.max(0, litres));
