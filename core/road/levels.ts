import type { StoreBalance } from "../days/balance";
import type { LogEntry } from "../record/record";
import { toDays } from "./civil";

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
/** A reading further off than this many standard errors is questioned. */
const ODD_Z = 3;

type Span = { readonly days: number; readonly litres: number; readonly season: Season };

/** One lives otherwise in winter than in summer: more indoors, fewer showers outside. Quarters from December on. */
export const SEASONS = ["winter", "spring", "summer", "autumn"] as const;
export type Season = (typeof SEASONS)[number];

/** The quarter of the year a day lies in, as the north counts them; what learns apart is the same in the south. */
export const findSeason = (at: string): Season => SEASONS[Math.floor((Number(at.slice(5, 7)) % 12) / 3)]!;

/**
 * The spans of a store between entries that fix its level: fills and dumps without a figure mean full and empty, a
 * reading says what is in it. Entries may come in any order; a clock that was set back makes no span.
 */
function listSpans(entries: readonly LogEntry[], storeId: string, isFresh: boolean, roomL: number): Span[] {
  const own = entries.filter((entry) => entry.storeId === storeId).sort((a, b) => a.at.localeCompare(b.at));
  const spans: Span[] = [];
  let known: { readonly at: number; readonly litres: number } | null = null;
  for (const { at, kind, amount } of own) {
    const day = toDays(at);
    const reads = kind === "reading" && amount !== null ? amount : null;
    if (known && reads !== null && day > known.at) {
      const change = isFresh ? known.litres - reads : reads - known.litres;
      spans.push({ days: day - known.at, litres: Math.max(0, change), season: findSeason(at) });
    }
    // how full it was when it was emptied says what came in
    if (known && kind === "dump" && amount !== null && !isFresh && day > known.at) {
      spans.push({ days: day - known.at, litres: Math.max(0, amount - known.litres), season: findSeason(at) });
    }
    if (reads !== null) known = { at: day, litres: reads };
    else if (kind === "dump") known = { at: day, litres: 0 };
    else if (kind === "fill")
      known = { at: day, litres: amount === null || known === null ? roomL : Math.min(roomL, known.litres + amount) };
  }
  return spans;
}

/** So many days' worth the design's own figures weigh against what is read [T]. */
const PRIOR_DAYS = 2;
/** What was learned in other seasons weighs as so many days at most [T]. */
const OTHER_DAYS = 4;

/**
 * Litres a day as learned: the mean of a Gamma that begins at the design's figure with a weight of two days and takes in
 * every span; its error falls with the root of the days seen. In a season the spans of that season are taken in, and what the
 * others taught stands at the beginning with the weight of a few days. Source: Gamma and Poisson [P]; the size of a use from the
 * balance.
 */
export function learnRate(
  spans: readonly Span[],
  priorL: number,
  useL: number,
  season: Season | null = null,
): { readonly meanL: number; readonly errorL: number } {
  const own = season === null ? spans : spans.filter((span) => span.season === season);
  // what other seasons taught stands for the design's figure, as far as it goes
  const others = season === null ? [] : spans.filter((span) => span.season !== season);
  const otherDays = others.reduce((sum, span) => sum + span.days, 0);
  const weight = PRIOR_DAYS + Math.min(otherDays, OTHER_DAYS);
  const taught = others.reduce((sum, span) => sum + span.litres, 0);
  const beforeL = otherDays > 0 ? (priorL * PRIOR_DAYS + taught) / (PRIOR_DAYS + otherDays) : priorL;
  const days = own.reduce((sum, span) => sum + span.days, weight);
  const litres = own.reduce((sum, span) => sum + span.litres, beforeL * weight);
  const meanL = litres / days;
  // litres come in uses of a size: variance of the mean λ s²/T = mean s/T
  return { meanL, errorL: Math.sqrt((meanL * Math.max(useL, 0.1)) / days) };
}

/** Where a store stands at a moment, from its log and its balance. `at` as YYYY-MM-DDTHH:MM, local. */
export function computeNow(balance: StoreBalance, entries: readonly LogEntry[], at: string): NowLevel {
  const { holds, store } = balance;
  const isFresh = holds === "fresh";
  const roomL = balance.roomL.here;
  const { meanLPerDay: priorL, varianceL2PerDay } = balance;
  const useL = priorL > 0 ? Math.max(0.5, varianceL2PerDay / priorL || priorL / 4) : 1;
  const own = entries
    .filter((entry) => entry.storeId === store.id && entry.at <= at)
    .sort((a, b) => a.at.localeCompare(b.at));
  const { meanL, errorL } = learnRate(listSpans(own, store.id, isFresh, roomL), priorL, useL, findSeason(at));
  const fix = findFix(own, roomL);
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
    oddL: findOdd(own, isFresh, roomL, priorL, useL),
  };
}

const clamp = (litres: number, roomL: number): number => Math.min(roomL, Math.max(0, litres));

type Fix = { readonly at: string; readonly litres: number };

// What is known of the level last, with what was filled since.
function findFix(own: readonly LogEntry[], roomL: number): Fix | null {
  let fix: Fix | null = null;
  for (const { at, kind, amount } of own) {
    if (kind === "reading" && amount !== null) fix = { at, litres: amount };
    else if (kind === "dump") fix = { at, litres: 0 };
    else if (kind === "fill") fix = { at, litres: amount === null || !fix ? roomL : clamp(fix.litres + amount, roomL) };
  }
  return fix;
}

// The last reading against what the sum of all before it says.
function findOdd(
  own: readonly LogEntry[],
  isFresh: boolean,
  roomL: number,
  priorL: number,
  useL: number,
): number | null {
  const last = own.findLastIndex(({ kind, amount }) => kind === "reading" && amount !== null);
  if (last < 1) return null;
  const before = own.slice(0, last);
  const fix = findFix(before, roomL);
  if (!fix) return null;
  const { at, amount } = own[last]!;
  const days = Math.max(0, toDays(at) - toDays(fix.at));
  const { meanL, errorL } = learnRate(
    listSpans(before, own[last]!.storeId!, isFresh, roomL),
    priorL,
    useL,
    findSeason(at),
  );
  const expected = clamp(isFresh ? fix.litres - meanL * days : fix.litres + meanL * days, roomL);
  const error = Math.sqrt(meanL * useL * days + (errorL * days) ** 2) + 0.03 * roomL;
  const off = amount! - expected;
  return Math.abs(off) > ODD_Z * error ? off : null;
}
