import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import type { Stop } from "@/core/record/journey";
import type { BuildRecord, LogEntry } from "@/core/record/record";
import { listDueCare } from "@/core/road/care";
import { addDays } from "@/core/road/civil";
import { isLoopChangedAt, listLoopChangesAlone, planJourney } from "@/core/road/planJourney";
import { describeCare, describeLoopChange, describeReason, describeService } from "@/words/journey";
import { type CalendarDay, writeCalendar } from "./calendar";

export type CalendarOptions = {
  readonly stops: readonly Stop[];
  /** The day it begins, YYYY-MM-DD. */
  readonly from: string;
  readonly certainty: number;
  /** When the file is written, ms since 1970. */
  readonly stampMs: number;
  /** What is built, and since when. */
  readonly built?: BuildRecord["done"];
};

/** The services of a plan and the care that is due, as a calendar file. */
export function writeJourneyCalendar(
  design: Design,
  log: readonly LogEntry[],
  { stops, from, certainty, stampMs, built = [] }: CalendarOptions,
): string {
  const plan = planJourney(design, evaluate(design).balance, log, { stops, from, certainty });
  const services = plan.services.map((service): CalendarDay => {
    const stop = stops.find(({ id }) => id === service.stopId)!;
    return {
      id: `${design.id}-${service.stopId}-${service.when}`,
      on: addDays(from, service.day),
      title: `${stop.name}: ${describeService(service, design, isLoopChangedAt(plan, service))}`,
      text: describeReason(service, design, from, "metric"),
    };
  });
  const loop = listLoopChangesAlone(plan).map((change): CalendarDay => {
    const stop = stops.find(({ id }) => id === change.stopId);
    return {
      id: `${design.id}-loop-${change.day}`,
      on: addDays(from, change.day),
      title: stop ? `${stop.name}: change the loop's water` : "The loop's water is through",
      text: describeLoopChange(change, from),
    };
  });
  const care = listDueCare(design, log, from, built).map((task): CalendarDay => {
    const { title, how } = describeCare(task);
    return { id: `${design.id}-${task.id}`, on: task.dueOn, title, text: how };
  });
  return writeCalendar(design.name, [...services, ...loop, ...care], stampMs);
}
