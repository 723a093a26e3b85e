import type { Design } from "@/core/design/design";
import type { LogEntry } from "@/core/record/record";
import { isGrown } from "@/core/road/grownBook";
import { describeEntry } from "@/words/road";
import type { Units } from "@/words/units";

export type Row = { readonly entry: LogEntry; readonly text: string };

/** Lines as they read, each worked out once for a design and its units; small letters beside for the search. */
export type BookIndex = { readonly rowOf: (entry: LogEntry) => Row & { readonly words: string } };

export function createBookIndex(design: Design, units: Units): BookIndex {
  const known = new WeakMap<LogEntry, Row & { readonly words: string }>();
  return {
    rowOf: (entry) => {
      const before = known.get(entry);
      if (before) return before;
      const text = describeEntry(entry, design, units);
      const row = { entry, text, words: `${entry.at} ${text}`.toLowerCase() };
      known.set(entry, row);
      return row;
    },
  };
}

/** The book that was put in order last. */
let ordered: { readonly log: readonly LogEntry[]; readonly inOrder: boolean } = { log: [], inOrder: true };

/** The book in the order things happened: a line may be written down later than they did. A line more is one comparison. */
export function inTime(log: readonly LogEntry[]): readonly LogEntry[] {
  const from = ordered.inOrder && isGrown(log, ordered.log) ? Math.max(1, ordered.log.length) : 1;
  let inOrder = true;
  for (let i = from; i < log.length && inOrder; i++) inOrder = log[i - 1]!.at <= log[i]!.at;
  ordered = { log, inOrder };
  return inOrder ? log : [...log].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}

/** Which lines are wanted: all, those of a tank, or those of a kind. */
export type Only = "all" | `store:${string}` | `kind:${string}`;

const isOf = ({ storeId, kind }: LogEntry, only: Only): boolean =>
  only === "all" || only === `store:${storeId}` || only === `kind:${kind}`;

/** The last lines first, those with the words sought, no more than are shown. */
export function searchBook(
  log: readonly LogEntry[],
  index: BookIndex,
  query: string,
  most: number,
  only: Only = "all",
): Row[] {
  const wanted = query.trim().toLowerCase();
  const found: Row[] = [];
  for (let i = log.length - 1; i >= 0 && found.length < most; i--) {
    if (!isOf(log[i]!, only)) continue;
    const row = index.rowOf(log[i]!);
    if (wanted === "" || row.words.includes(wanted)) found.push(row);
  }
  return found;
}

/** So many lines are worked out at a time while the hand rests. */
const CHUNK = 400;

/** Of each index the book it was warmed for last, and the line down to which its lines have been worked out. */
const warmed = new WeakMap<BookIndex, { readonly log: readonly LogEntry[]; downTo: number }>();

/**
 * Works lines out beforehand, a few at a time while nothing else is to be done, the last first; what it gives ends it.
 * In a book that goes on it goes on from where it was: the lines more are worked out as they are drawn or sought.
 */
export function warmBook(log: readonly LogEntry[], index: BookIndex): () => void {
  const before = warmed.get(index);
  const state = { log, downTo: before && isGrown(log, before.log) ? before.downTo : log.length };
  warmed.set(index, state);
  let isOver = state.downTo === 0;
  // some browsers do not tell when the hand rests
  const later = (step: () => void) =>
    "requestIdleCallback" in window ? window.requestIdleCallback(step) : setTimeout(step, 30);
  const step = () => {
    if (isOver) return;
    const until = Math.max(0, state.downTo - CHUNK);
    while (state.downTo > until) index.rowOf(log[--state.downTo]!);
    if (state.downTo > 0) later(step);
  };
  if (!isOver) later(step);
  return () => {
    isOver = true;
  };
}
