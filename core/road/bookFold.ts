import type { LogEntry } from "../record/record";
import { toDays } from "./civil";
import { findSeason, learnRate, SEASONS, type Season, type SeasonSums } from "./learnRate";

/** What a store's lines are read with: its room and what the design says of its use. */
export type FoldOf = {
  readonly storeId: string;
  readonly isFresh: boolean;
  readonly roomL: number;
  readonly priorL: number;
  readonly useL: number;
};

type Fix = { readonly at: string; readonly litres: number };

export type Fold = {
  /** What the spans between lines that fix a level taught. */
  readonly sums: SeasonSums;
  /** What is known of the level last, with what was filled since. */
  readonly fix: Fix | null;
  /** How far the last reading is off what the lines before it say, L; null where that is no more than chance. */
  readonly oddL: number | null;
};

/** A reading further off than this many standard errors is questioned. */
const ODD_Z = 3;

type Known = Fold & { readonly seen: readonly LogEntry[]; readonly lastAt: string };

/** Of each store the book it was last read from, so that a line more costs one line. */
const known = new Map<string, Known>();
const MOST_KNOWN = 40;

/**
 * A store's lines of the book up to a moment, read from the first to the last: fills and dumps without a figure mean full
 * and empty, a reading says what is in it, a clock that was set back makes no span. Lines may come in any order. A book
 * that is the last one with lines added at its end is read from there on.
 */
export function foldBook(entries: readonly LogEntry[], of: FoldOf, at: string): Fold {
  const key = [of.storeId, of.isFresh, of.roomL, of.priorL, of.useL].join("|");
  const before = known.get(key);
  const added = before && isLonger(entries, before.seen) ? entries.slice(before.seen.length) : null;
  const isAfter = added?.every((entry, i) => entry.at >= (added[i - 1]?.at ?? before!.lastAt)) ?? false;
  // of a book that goes on, the last line is the latest
  const isPast = isAfter ? (added!.at(-1)?.at ?? before!.lastAt) <= at : entries.every((entry) => entry.at <= at);
  if (!isPast) return read(of, START, inOrder(entries.filter((entry) => entry.at <= at)));
  const fold = isAfter ? read(of, before!, added!) : read(of, START, inOrder(entries));
  let lastAt = isAfter ? before!.lastAt : "";
  for (const entry of isAfter ? added! : entries) if (entry.at > lastAt) lastAt = entry.at;
  if (!before && known.size >= MOST_KNOWN) known.clear();
  known.set(key, { ...fold, seen: entries, lastAt });
  return fold;
}

const isLonger = (entries: readonly LogEntry[], seen: readonly LogEntry[]): boolean =>
  entries.length >= seen.length && seen.every((entry, i) => entry === entries[i]);

const inOrder = (entries: readonly LogEntry[]): readonly LogEntry[] =>
  entries.every((entry, i) => i === 0 || entries[i - 1]!.at <= entry.at)
    ? entries
    : [...entries].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));

const START: Fold = {
  sums: Object.fromEntries(SEASONS.map((season) => [season, { days: 0, litres: 0 }])) as SeasonSums,
  fix: null,
  oddL: null,
};

function read({ storeId, isFresh, roomL, priorL, useL }: FoldOf, from: Fold, entries: readonly LogEntry[]): Fold {
  const sums: Record<Season, { days: number; litres: number }> = { ...from.sums };
  let { fix, oddL } = from;
  for (const { at, kind, amount, storeId: about } of entries) {
    if (about !== storeId) continue;
    const reads = kind === "reading" ? amount : null;
    if (fix && reads !== null) oddL = findOdd(fix, at, reads);
    // how full it was when it was emptied says what came in
    const found = reads ?? (kind === "dump" && !isFresh ? amount : null);
    const days = fix ? toDays(at) - toDays(fix.at) : 0;
    if (fix && found !== null && days > 0) {
      const litres = Math.max(0, isFresh ? fix.litres - found : found - fix.litres);
      const season = findSeason(at);
      sums[season] = { days: sums[season].days + days, litres: sums[season].litres + litres };
    }
    if (reads !== null) fix = { at, litres: reads };
    else if (kind === "dump") fix = { at, litres: 0 };
    else if (kind === "fill") {
      fix = { at, litres: amount === null || !fix ? roomL : Math.min(roomL, fix.litres + amount) };
    }
  }
  return { sums, fix, oddL };

  function findOdd(before: Fix, at: string, reads: number): number | null {
    const days = Math.max(0, toDays(at) - toDays(before.at));
    const { meanL, errorL } = learnRate(sums, priorL, useL, findSeason(at));
    const moved = isFresh ? before.litres - meanL * days : before.litres + meanL * days;
    const expected = Math.min(roomL, Math.max(0, moved));
    const error = Math.sqrt(meanL * useL * days + (errorL * days) ** 2) + 0.03 * roomL;
    const off = reads - expected;
    return Math.abs(off) > ODD_Z * error ? off : null;
  }
}
