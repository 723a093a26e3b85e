import { type TickedAs, toTickedAs } from "@/core/record/ticks";
import type { UnderSheet } from "./underCards";

/** What a step of a sheet was called and drawn like when it was written out. */
export function findTickedAs({ cards }: UnderSheet, stepId: string): TickedAs | null {
  const found = cards.find(({ id }) => id === `steps:${stepId}`);
  return found ? toTickedAs(found.title, found.drawn) : null;
}
