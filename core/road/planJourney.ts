import { isLevel } from "../attitude/attitude";
import type { Balance } from "../days/balance";
import type { Design } from "../design/design";
import { evaluate } from "../evaluate/judge";
import { computeLoopRhythm } from "../gear/loopRhythm";
import type { Stop } from "../record/journey";
import type { LogEntry } from "../record/record";
import { toDays } from "./civil";
import { type DumpPlan, findLastDay, listMoments, type Moment, planDumps } from "./dumpPlan";
import { buildPlanInput } from "./planInput";

/** Where the loop's water is changed; no stop where none before the end has a dump and fresh water. */
export type LoopChange = {
  readonly stopId: string | null;
  readonly when: Moment["when"];
  /** Whole days after the start. */
  readonly day: number;
  /** It was due before that. */
  readonly isLate: boolean;
};

/** A plan for tanks, canisters and the loop together. */
export type JourneyPlan = DumpPlan & {
  /** The way of living that is lived all the way; null where nothing fills or empties. */
  readonly wayId: string | null;
  /** The book says something of what is in the tanks. */
  readonly hasBook: boolean;
  readonly loopChanges: readonly LoopChange[];
  /** Tanks that take less, and fresh water that gives less, than on the place the rig stands on now, because a pitch on the way leans: the least, L. */
  readonly leaning: readonly { readonly storeId: string; readonly roomL: number }[];
};

type At = Pick<Moment, "stopId" | "when">;
const isSame = (a: At, b: { readonly stopId: string | null; readonly when: Moment["when"] }): boolean =>
  a.stopId === b.stopId && a.when === b.when;

/** Whether the loop's water is changed along with a service. */
export const isLoopChangedAt = ({ loopChanges }: Pick<JourneyPlan, "loopChanges">, service: At): boolean =>
  loopChanges.some((change) => isSame(service, change));

/** Changes of the loop's water that have to be said by themselves: with no service, late, or nowhere. */
export const listLoopChangesAlone = ({ loopChanges, services }: JourneyPlan): LoopChange[] =>
  loopChanges.filter((change) => change.isLate || !services.some((service) => isSame(service, change)));

export type JourneyOptions = {
  readonly stops: readonly Stop[];
  /** The day it begins, YYYY-MM-DD. */
  readonly from: string;
  /** Share in [0.5, 0.99]. */
  readonly certainty: number;
  /** The moment the levels are taken at, YYYY-MM-DDTHH:MM; the start of the first day unless it is told. */
  readonly at?: string;
};

/**
 * Where to dump, fill and change the loop's water. Rooms are the least over the pitches whose lean is known: on the safe side,
 * as if the whole way stood on the worst of them [C].
 */
export function planJourney(
  design: Design,
  balance: Balance,
  log: readonly LogEntry[],
  options: JourneyOptions,
): JourneyPlan {
  const { stops } = options;
  const rooms = findLeastRooms(design, stops);
  const leaning: { storeId: string; roomL: number }[] = [];
  const stores = balance.stores.map((store) => {
    const roomL = rooms.get(store.store.id) ?? Infinity;
    if (store.holds === "loop" || roomL >= store.roomL.here) return store;
    leaning.push({ storeId: store.store.id, roomL });
    // what leans away from the hole it is drawn through is seen by a gauge and not drawn
    const undrawnL = store.holds === "fresh" ? store.undrawnL + store.roomL.here - roomL : 0;
    return { ...store, undrawnL, roomL: { ...store.roomL, here: roomL } };
  });
  const input = buildPlanInput({ ...balance, stores }, log, options);
  const plan = planDumps(input);
  const hasBook = log.some(({ kind }) => kind === "fill" || kind === "dump" || kind === "reading");
  return {
    ...plan,
    wayId: input.stretches[0]?.wayId ?? null,
    hasBook,
    leaning,
    loopChanges: planLoopChanges(design, log, options, listMoments(input), plan),
  };
}

function findLeastRooms(design: Design, stops: readonly Stop[]): ReadonlyMap<string, number> {
  const rooms = new Map<string, number>();
  const known = new Map(
    stops.flatMap(({ stands }) => (stands ? [[`${stands.pitchDeg} ${stands.rollDeg}`, stands]] : [])),
  );
  for (const stands of known.values()) {
    if (isLevel(stands)) continue;
    for (const { store, roomL } of evaluate(design, stands).balance.stores)
      rooms.set(store.id, Math.min(rooms.get(store.id) ?? Infinity, roomL.here));
  }
  return rooms;
}

// The last place before it is due, one that is served anyway before one that is not; where there is none, the next one, late.
function planLoopChanges(
  design: Design,
  log: readonly LogEntry[],
  { stops, from }: JourneyOptions,
  moments: readonly Moment[],
  { services }: DumpPlan,
): LoopChange[] {
  const everyDays = computeLoopRhythm(design)?.everyDays ?? null;
  if (everyDays === null) return [];
  const start = toDays(from);
  const changed = log
    .filter(({ kind, at }) => kind === "loopChange" && at.slice(0, 10) <= from)
    .map(({ at }) => toDays(at));
  // without a line in the book it sets out with new water
  let last = changed.length > 0 ? Math.max(...changed) - start : 0;
  const lastDay = findLastDay({ stops, from });
  const byId = new Map(stops.map((stop) => [stop.id, stop]));
  const isServed = (moment: Moment) =>
    services.some(({ stopId, when }) => stopId === moment.stopId && when === moment.when);
  const places = moments.filter(({ stopId }) => {
    const has = byId.get(stopId)?.has;
    return has?.fresh === true && (has.grey || has.toilet);
  });
  const found: LoopChange[] = [];
  for (let due = last + everyDays; due < lastDay; due = last + everyDays) {
    const inTime = places.filter(({ day }) => day > last && day <= due);
    const next = inTime.filter(isServed).at(-1) ?? inTime.at(-1) ?? places.find(({ day }) => day > last);
    if (!next) {
      found.push({ stopId: null, when: "arrive", day: Math.max(0, Math.floor(due)), isLate: true });
      break;
    }
    found.push({ stopId: next.stopId, when: next.when, day: next.day, isLate: next.day > due });
    last = next.day;
  }
  return found;
}
