import type { Stop } from "@/core/record/journey";
import { addDays } from "@/core/road/civil";
import { records } from "@/store/records";
import { tell } from "@/store/workbench";
import * as WORDS from "@/words/panels/road/stopEdits";

const read = (): readonly Stop[] => records.store.getState().journey.stops;

/** Keeps the stops, and says so where that is not possible; what was there before can be had back. */
export function keepStops(stops: readonly Stop[], done: string | null = null): void {
  const before = read();
  records
    .setJourney({ stops: [...stops] })
    .then(() => {
      if (done === null) return;
      tell(done, { action: { label: WORDS.undo, run: () => keepStops(before) } });
    })
    .catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
}

/** One stop changed. */
export const changeStop = (id: string, given: Partial<Stop>): void =>
  keepStops(
    read().map((stop) => (stop.id === id ? { ...stop, ...given } : stop)),
    given.isClosed === undefined ? null : given.isClosed ? WORDS.closedPlannedAgainWithoutIt : WORDS.openAgain,
  );

/** One stop as it is now, in the place of the one with its id. */
export const keepStop = (stop: Stop): void => keepStops(read().map((one) => (one.id === stop.id ? stop : one)));

/** Stays longer at one stop; everything after it comes so many days later. */
export function shiftFrom(id: string, days: number): void {
  const stops = read();
  const stop = stops.find((one) => one.id === id);
  if (!stop || stop.nights + days > 120 || stop.nights + days < 0) return;
  keepStops(
    stops.map((one) => {
      if (one.id === id) return { ...one, nights: one.nights + days };
      return one.arrive > stop.arrive ? { ...one, arrive: addDays(one.arrive, days) } : one;
    }),
    WORDS.daysMoreTheRestLater(stop.name, days),
  );
}

/** Takes a stop out. */
export const removeStop = (id: string): void =>
  keepStops(
    read().filter((stop) => stop.id !== id),
    WORDS.stopTakenOut,
  );

/** A stop more, the day after the last. */
export function addStop(on: string): string {
  const stops = read();
  const last = stops.reduce<Stop | null>((a, b) => (a && a.arrive >= b.arrive ? a : b), null);
  const id = freeStopId(stops);
  const arrive = last ? addDays(last.arrive, Math.max(1, last.nights)) : on;
  const has = { grey: false, toilet: false, fresh: false };
  const base = { latDeg: null, lonDeg: null, nights: 1, has, isClosed: false, cost: 0, stands: null, note: "" };
  keepStops([...stops, { id, name: WORDS.stop(stops.length + 1), arrive, ...base }]);
  return id;
}

/** An id no stop has yet. */
export function freeStopId(stops: readonly Pick<Stop, "id">[]): string {
  const taken = new Set(stops.map(({ id }) => id));
  for (let i = stops.length + 1; ; i++) if (!taken.has(`stop-${i}`)) return `stop-${i}`;
}
