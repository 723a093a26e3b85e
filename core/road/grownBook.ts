import type { LogEntry } from "../record/record";

/** Whether a book is one that was read before, with lines added at its end or none: the same objects, one after the other. */
export function isGrown(log: readonly LogEntry[], before: readonly LogEntry[]): boolean {
  if (log.length < before.length) return false;
  for (let i = 0; i < before.length; i++) if (log[i] !== before[i]) return false;
  return true;
}
