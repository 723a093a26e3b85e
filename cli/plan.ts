import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import type { Stop } from "@/core/record/journey";
import type { LogEntry } from "@/core/record/record";
import { addDays } from "@/core/road/civil";
import { isLoopChangedAt, listLoopChangesAlone, planJourney } from "@/core/road/planJourney";
import { type FoundPlace, readPlaces } from "@/files/places";
import {
  describeLeaning,
  describeLoopChange,
  describePlan,
  describeReason,
  describeService,
  formatDay,
} from "@/words/journey";
import type { Units } from "@/words/units";

export type PlanOptions = {
  readonly stops: readonly Stop[];
  readonly from: string;
  readonly certainty: number;
};

/** Places out of a file as stops: those without a day stand one a day from the start. */
export function toStops(places: readonly FoundPlace[], from: string): Stop[] {
  return places.map(({ name, latDeg, lonDeg, note, arrive, nights, has, cost }, i) => ({
    id: `stop-${i + 1}`,
    name,
    latDeg,
    lonDeg,
    arrive: arrive ?? addDays(from, i),
    nights: nights ?? 1,
    has: has ?? { grey: false, toilet: false, fresh: false },
    isClosed: false,
    cost: cost ?? 0,
    stands: null,
    note,
  }));
}

/** Stops out of the text of a file of places, or why there are none. */
export function readStops(text: string, from: string): readonly Stop[] | string {
  const outcome = readPlaces(text);
  return outcome.ok ? toStops(outcome.places, from) : outcome.sentence;
}

/** Where to dump and fill on a journey, for a program to read. */
export function reportPlan(design: Design, log: readonly LogEntry[], options: PlanOptions) {
  const plan = planJourney(design, evaluate(design).balance, log, options);
  const nameOf = (id: string) => options.stops.find((stop) => stop.id === id)?.name ?? id;
  return {
    design: { id: design.id, name: design.name, version: design.version },
    from: options.from,
    certainty: options.certainty,
    holds: plan.holds,
    holdsWith: plan.holdsWith,
    cost: plan.cost,
    breaks: plan.breaks && { ...plan.breaks, on: addDays(options.from, plan.breaks.day) },
    services: plan.services.map((service) => ({
      ...service,
      stop: nameOf(service.stopId),
      on: addDays(options.from, service.day),
    })),
    intervals: plan.intervals,
    loopChanges: plan.loopChanges.map((change) => ({
      ...change,
      stop: change.stopId === null ? null : nameOf(change.stopId),
      on: addDays(options.from, change.day),
    })),
  };
}

/** The same as lines for a terminal. */
export function printPlan(design: Design, log: readonly LogEntry[], options: PlanOptions, units: Units): string {
  const plan = planJourney(design, evaluate(design).balance, log, options);
  const nameOf = (id: string | null) => options.stops.find((stop) => stop.id === id)?.name;
  const loop = listLoopChangesAlone(plan).map((change) => {
    const place = nameOf(change.stopId);
    const day = formatDay(addDays(options.from, change.day));
    return `${place ? `${day}, ${place}` : day}: ${describeLoopChange(change, options.from)}`;
  });
  const leaning = plan.leaning.length > 0 ? [describeLeaning(plan.leaning, design, units)] : [];
  const lines = plan.services.map((service) => {
    const stop = options.stops.find(({ id }) => id === service.stopId)!;
    const when = `${formatDay(addDays(options.from, service.day))}, ${service.when === "arrive" ? "on arriving at" : "on leaving"} ${stop.name}`;
    return `${when}: ${describeService(service, design, isLoopChangedAt(plan, service))}. ${describeReason(service, design, options.from, units)}`.trimEnd();
  });
  return `${[design.name, describePlan(plan, design, options.from, options.certainty, units), ...leaning, ...lines, ...loop].join("\n")}\n`;
}
