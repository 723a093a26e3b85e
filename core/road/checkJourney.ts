import type { Stop } from "../record/journey";
import { addDays, toDays } from "./civil";

/** What a journey says twice: one stands at a stop before one has left the one before. */
export type StayOverlap = {
  readonly stopId: string;
  readonly beforeId: string;
  /** The day the later one begins, and the one the earlier one ends, YYYY-MM-DD. */
  readonly arrive: string;
  readonly leaves: string;
};

/** Stays that overlap, in the order they begin; places that are only passed may lie within a stay. */
export function listOverlaps(stops: readonly Stop[]): StayOverlap[] {
  const stays = stops.filter(({ nights }) => nights > 0).sort((a, b) => a.arrive.localeCompare(b.arrive));
  let last: Stop | null = null;
  const found: StayOverlap[] = [];
  for (const stop of stays) {
    if (last && toDays(stop.arrive) < toDays(last.arrive) + last.nights) {
      found.push({
        stopId: stop.id,
        beforeId: last.id,
        arrive: stop.arrive,
        leaves: addDays(last.arrive, last.nights),
      });
    }
    // the one that ends last is the one to be left
    if (!last || toDays(stop.arrive) + stop.nights >= toDays(last.arrive) + last.nights) last = stop;
  }
  return found;
}
