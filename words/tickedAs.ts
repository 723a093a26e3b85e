import type { TickedAs } from "@/core/record/ticks";
import type { UnderSheet } from "./underCards";

/** What a step of a sheet was called and drawn like when it was written out. */
export function findTickedAs({ cards }: UnderSheet, stepId: string): TickedAs | null {
  const found = cards.find(({ id }) => id === `steps:${stepId}`);
  return found ? { name: found.title.slice(0, 200), ...(found.drawn ? { drawn: found.drawn } : {}) } : null;
}
