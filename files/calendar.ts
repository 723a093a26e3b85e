import ical, { ICalAlarmType } from "ical-generator";
import { toDays } from "@/core/road/civil";

/** A whole day with something to do on it. */
export type CalendarDay = {
  readonly id: string;
  /** YYYY-MM-DD, of the place. */
  readonly on: string;
  readonly title: string;
  readonly text: string;
};

const DAY_MS = 86_400_000;
const EVENING_BEFORE_S = 6 * 3_600;

/** Days as a calendar file (RFC 5545): whole days without a zone, each with a reminder at six the evening before. */
export function writeCalendar(name: string, days: readonly CalendarDay[], stampMs: number): string {
  const calendar = ical({ name, prodId: { company: "Schleuse", product: "Journey" } });
  for (const { id, on, title, text } of days) {
    const start = new Date(toDays(on) * DAY_MS);
    const event = calendar.createEvent({
      id: `${id}@schleuse`,
      start,
      end: new Date(start.getTime() + DAY_MS),
      allDay: true,
      // whole days by the calendar, whatever zone the machine stands in
      timezone: "UTC",
      stamp: new Date(stampMs),
      summary: title,
      description: text,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: EVENING_BEFORE_S });
  }
  return calendar.toString();
}
