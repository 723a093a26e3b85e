import type { LogEntry } from "../record/record";

/** The last two books that were held against each other: several readers of one book ask for the same. */
let held: {
  readonly log: readonly LogEntry[];
  readonly before: readonly LogEntry[];
  readonly isGrown: boolean;
} | null = null;

/** Whether a book is one that was read before, with lines added at its end or none: the same objects, one after the other. */
export function isGrown(log: readonly LogEntry[], before: readonly LogEntry[]): boolean {
  if (log === before) return true;
  if (held?.log !== log || held.before !== before) held = { log, before, isGrown: startsWith(log, before) };
  return held.isGrown;
}

function startsWith(log: readonly LogEntry[], before: readonly LogEntry[]): boolean {
  if (log.length < before.length) return false;
  for (let i = before.length - 1; i >= 0; i--) if (log[i] !== before[i]) return false;
  return true;
}
