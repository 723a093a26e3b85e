import type { LogEntry } from "../record/record";
import { toDays } from "./civil";
import { isGrown } from "./grownBook";
import { findSeason, learnRate, SEASONS, type SeasonSums } from "./learnRate";

/** What the design says of a store's use in one way of living: L a day, and the size of a use, L. */
export type WayPrior = { readonly wayId: string; readonly priorL: number; readonly useL: number };

/** What a store's lines are read with: its room, and what the design says of its use; the first way is lived from the start. */
export type FoldOf = {
  readonly storeId: string;
  readonly isFresh: boolean;
  readonly roomL: number;
  /** What lies in fresh tanks that cannot be drawn, L: a stick or gauge reads it along. */
  readonly undrawnL: number;
  readonly ways: readonly [WayPrior, ...WayPrior[]];
};

/** A level that is known, and how far chance may have moved it since it was read, L². */
type Fix = { readonly at: string; readonly litres: number; readonly varianceL2: number };

export type Fold = {
  /** What the spans between lines that fix a level taught, by the way that was lived in them: ways learn apart. */
  readonly sums: Readonly<Record<string, SeasonSums>>;
  /** The way that is lived since the line that said so last. */
  readonly wayId: string;
  /** The last line that read, dumped or filled; a level that was reckoned when another way began is none. */
  readonly since: string | null;
  /** The last reading. */
  readonly reading: { readonly at: string; readonly litres: number } | null;
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
  const key = JSON.stringify(of);
  const before = known.get(key);
  const added = before && isGrown(entries, before.seen) ? entries.slice(before.seen.length) : null;
  const isAfter = added?.every((entry, i) => entry.at >= (added[i - 1]?.at ?? before!.lastAt)) ?? false;
  // of a book that goes on, the last line is the latest
  const isPast = isAfter ? (added!.at(-1)?.at ?? before!.lastAt) <= at : entries.every((entry) => entry.at <= at);
  if (!isPast) return read(of, begin(of), inOrder(entries.filter((entry) => entry.at <= at)));
  const fold = isAfter ? read(of, before!, added!) : read(of, begin(of), inOrder(entries));
  let lastAt = isAfter ? before!.lastAt : "";
  for (const entry of isAfter ? added! : entries) if (entry.at > lastAt) lastAt = entry.at;
  if (!before && known.size >= MOST_KNOWN) known.clear();
  known.set(key, { ...fold, seen: entries, lastAt });
  return fold;
}

const inOrder = (entries: readonly LogEntry[]): readonly LogEntry[] =>
  entries.every((entry, i) => i === 0 || entries[i - 1]!.at <= entry.at)
    ? entries
    : [...entries].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));

const begin = ({ ways }: FoldOf): Fold => ({
  sums: {},
  wayId: ways[0].wayId,
  since: null,
  reading: null,
  fix: null,
  oddL: null,
});

/** Nothing was seen yet. */
export const NO_SUMS = Object.fromEntries(SEASONS.map((season) => [season, { days: 0, litres: 0 }])) as SeasonSums;

const priorOf = ({ ways }: FoldOf, wayId: string): WayPrior => ways.find((way) => way.wayId === wayId) ?? ways[0];

/** Litres a day in a way of living as it has been learned by then, with the error, and the size of a use. */
export function learnWay(of: FoldOf, { sums }: Pick<Fold, "sums">, wayId: string, at: string) {
  const { priorL, useL } = priorOf(of, wayId);
  return { ...learnRate(sums[wayId] ?? NO_SUMS, priorL, useL, findSeason(at)), priorL, useL };
}

/**
 * What a level has become by then, L, and the variance of it, L²: moved at the rate that was learned, spread by chance [C].
 * `unboundL` is what it would be if the tank had no end, which is where its band lies about.
 */
export function moveOn(
  of: FoldOf,
  fold: Pick<Fold, "sums" | "wayId">,
  fix: Fix,
  at: string,
): Fix & { readonly unboundL: number } {
  const days = Math.max(0, toDays(at) - toDays(fix.at));
  const { meanL, errorL, useL } = learnWay(of, fold, fold.wayId, at);
  const unboundL = fix.litres + (of.isFresh ? -1 : 1) * meanL * days;
  const varianceL2 = fix.varianceL2 + meanL * useL * days + (errorL * days) ** 2;
  return { at, litres: Math.min(of.roomL, Math.max(0, unboundL)), varianceL2, unboundL };
}

function read(of: FoldOf, from: Fold, entries: readonly LogEntry[]): Fold {
  const { storeId, isFresh, roomL, undrawnL, ways } = of;
  const sums: Record<string, SeasonSums> = { ...from.sums };
  let { fix, oddL, wayId, since, reading } = from;
  for (const { at, kind, amount, storeId: about, wayId: begun } of entries) {
    if (kind === "living" && begun !== undefined && ways.some((way) => way.wayId === begun)) {
      // where one way ends and another begins the level is only reckoned: nothing is learned across it
      if (fix) fix = moveOn(of, { sums, wayId }, fix, at);
      wayId = begun;
      continue;
    }
    if (about !== storeId) continue;
    const reads = kind === "reading" && amount !== null ? Math.max(0, amount - undrawnL) : null;
    if (fix && reads !== null) oddL = findOdd(fix, at, reads);
    // how full it was when it was emptied says what came in
    const found = reads ?? (kind === "dump" && !isFresh ? amount : null);
    const days = fix ? toDays(at) - toDays(fix.at) : 0;
    if (fix && fix.varianceL2 === 0 && found !== null && days > 0) {
      const litres = Math.max(0, isFresh ? fix.litres - found : found - fix.litres);
      const season = findSeason(at);
      const own = sums[wayId] ?? NO_SUMS;
      sums[wayId] = { ...own, [season]: { days: own[season].days + days, litres: own[season].litres + litres } };
    }
    if (reads !== null) reading = { at, litres: amount! };
    if (reads !== null || kind === "dump" || kind === "fill") since = at;
    if (reads !== null) fix = { at, litres: reads, varianceL2: 0 };
    else if (kind === "dump") fix = { at, litres: 0, varianceL2: 0 };
    else if (kind === "fill") {
      // what was used since the level was known is gone before what was filled comes in
      const before = fix && moveOn(of, { sums, wayId }, fix, at);
      fix =
        amount === null || !before
          ? { at, litres: roomL, varianceL2: 0 }
          : { at, litres: Math.min(roomL, before.litres + amount), varianceL2: before.varianceL2 };
    }
  }
  return { sums, wayId, since, reading, fix, oddL };

  function findOdd(before: Fix, at: string, reads: number): number | null {
    const expected = moveOn(of, { sums, wayId }, before, at);
    const off = reads - expected.litres;
    return Math.abs(off) > ODD_Z * (Math.sqrt(expected.varianceL2) + 0.03 * roomL) ? off : null;
  }
}
