import type { Design } from "@/core/design/design";
import type { LogEntry, LogKind } from "@/core/record/record";
import type { NowLevel } from "@/core/road/levels";
import { formatDay } from "./journey";
import { describeStore } from "./stores";
import { formatNumber, formatParts, formatQuantity, parsePlain, parseQuantity, type Units } from "./units";

export const LOG_NAMES: Readonly<Record<LogKind, string>> = {
  fill: "Filled",
  dump: "Dumped",
  reading: "Read",
  showers: "Showers",
  waterTest: "Loop water tested",
  loopChange: "Loop water changed",
  filter: "Filter changed",
  cleaning: "Cleaned",
  smell: "Smell",
  leak: "Leak",
  repair: "Repair",
  care: "Care done",
  place: "Place",
  living: "Lived as",
  note: "Note",
};

/** Kinds of entry that are about a tank and take litres. */
export const WITH_STORE: readonly LogKind[] = ["fill", "dump", "reading", "cleaning", "smell", "leak"];

/** What the figure of an entry counts; null for kinds that have none. */
export function toAmountOf(kind: LogKind): "volume" | "count" | "mgPerL" | null {
  switch (kind) {
    case "fill":
    case "dump":
    case "reading":
    case "leak":
    case "loopChange":
      return "volume";
    case "showers":
      return "count";
    case "waterTest":
      return "mgPerL";
    default:
      return null;
  }
}

/** What the figure of an entry is, beside its field. */
export function nameAmount(kind: LogKind): string {
  switch (kind) {
    case "showers":
      return "How many";
    case "waterTest":
      return "Over fresh water, mg/L";
    case "reading":
      return "What it held";
    case "dump":
      return "What it held, if known";
    default:
      return "How much, if known";
  }
}

/** The figure of an entry as it is typed, in the reader's units; a sentence where it cannot be read. */
export function readAmount(
  text: string,
  kind: LogKind,
  units: Units,
): { readonly ok: true; readonly amount: number | null } | { readonly ok: false; readonly sentence: string } {
  const of = toAmountOf(kind);
  if (of === null || text.trim() === "") return { ok: true, amount: null };
  const read = of === "volume" ? parseQuantity(text, "volume", units) : parsePlain(text);
  const most = of === "volume" ? formatQuantity(MOST_AMOUNT, "volume", units) : "5,000";
  return read.ok && read.value >= 0 && read.value <= MOST_AMOUNT
    ? { ok: true, amount: read.value }
    : { ok: false, sentence: `A figure from 0 to ${most}, or none.` };
}

/** The figure of an entry as it would be typed. */
export function formatAmount(amount: number | null, kind: LogKind, units: Units): string {
  if (amount === null) return "";
  return toAmountOf(kind) === "volume" ? formatParts(amount, "volume", units).figure : String(amount);
}

/** No tank of a camper holds more, L [T]; nobody counts more showers. */
const MOST_AMOUNT = 5_000;

function formatFigure(amount: number, kind: LogKind, units: Units): string {
  switch (kind) {
    case "showers":
      return formatNumber(amount, 0);
    case "waterTest":
      return `${formatNumber(amount, 0)} mg/L`;
    default:
      return formatQuantity(amount, "volume", units);
  }
}

/** One line of the book. */
export function describeEntry({ kind, storeId, amount, note }: LogEntry, design: Design, units: Units): string {
  const about = storeId === null ? "" : ` ${describeStore(storeId, design)}`;
  const gap = toAmountOf(kind) === "volume" ? ", " : " ";
  const figure = amount === null ? "" : `${gap}${formatFigure(amount, kind, units)}`;
  return `${LOG_NAMES[kind]}${about}${figure}${note === "" ? "" : `: ${note}`}`;
}

/** What a line said before it was put right. */
export function describeEarlier(
  { until, at, amount, note }: NonNullable<LogEntry["was"]>[number],
  kind: LogKind,
  units: Units,
): string {
  const figure = amount === null ? "no figure" : formatFigure(amount, kind, units);
  const said = [at.replace("T", " "), figure, ...(note === "" ? [] : [note])].join(", ");
  return `Until ${until.replace("T", " ")} it said: ${said}.`;
}

const nameEnd = (holds: NowLevel["holds"]): string => (holds === "fresh" ? "empty" : "full");

/** Which tank ends a stay first, and when. */
export const describeFirst = (name: string, { holds, daysLeft }: Pick<NowLevel, "holds" | "daysLeft">): string =>
  daysLeft !== null && daysLeft > 0
    ? `${name} comes first: ${formatStay(daysLeft)}.`
    : `${name} is ${nameEnd(holds)} by now.`;

/** How a tank stands now, and how sure that is. */
export function describeNow(
  { holds, litres, undrawnL, lowL, highL, daysLeft, earlyDays, since }: NowLevel,
  units: Units,
): string {
  const figure = (l: number) => formatQuantity(l, "volume", units);
  if (since === null) return "Nothing is in the book yet: press what you did last.";
  const left =
    daysLeft === null
      ? ""
      : daysLeft <= 0
        ? `, ${nameEnd(holds)} by now`
        : `, ${formatStay(daysLeft)} ${holds === "fresh" ? "left" : "until full"}${describeEarly(daysLeft, earlyDays)}`;
  const [low, high] = [figure(lowL), figure(highL)];
  const band = low === high ? "" : `, ${low} to ${high} four times in five`;
  const under =
    holds === "fresh" && undrawnL >= LEAST_UNDRAWN_L ? ` ${figure(undrawnL)} more lies too low to be drawn.` : "";
  return `${figure(litres)} by the sum${band}${left}.${under}`;
}

/** Less than that at the bottom of a tank is not worth a word, L. */
const LEAST_UNDRAWN_L = 0.5;

// Said where it is a different plan: a tenth sooner and more.
function describeEarly(daysLeft: number, earlyDays: number | null): string {
  if (earlyDays === null || earlyDays > 0.9 * daysLeft) return "";
  return earlyDays < 0.02 ? ", it may be now" : `, one time in ten only ${formatStay(earlyDays)}`;
}

/** "14 h" while it is short, else "2.6 days". */
export const formatStay = (days: number): string =>
  days < 2 ? `${formatNumber(days * 24, 0)}\u00a0h` : `${formatNumber(days, 1)}\u00a0days`;

/** What was read last. */
export const describeReading = ({ at, litres }: NonNullable<NowLevel["reading"]>, units: Units): string =>
  `Last read ${formatDay(at.slice(0, 10))}, ${at.slice(11)}: ${formatQuantity(litres, "volume", units)}.`;

/** What the book has taught, and what that does to the forecast; null while it has taught next to nothing. */
export function describeLearned(level: NowLevel, units: Units): string | null {
  const { holds, perDayL, perDayErrorL, designPerDayL, learnedDays, litres, roomL } = level;
  if (learnedDays < 0.5 || perDayL <= 0) return null;
  const figure = (l: number) => formatQuantity(l, "volume", units);
  const taught = `By ${formatNumber(learnedDays, learnedDays < 10 ? 1 : 0)}\u00a0days of the book ${figure(perDayL)} a day, give or take ${figure(perDayErrorL)}`;
  if (designPerDayL <= 0) return `${taught}; the design has no use for it.`;
  const left = holds === "fresh" ? litres : roomL - litres;
  const movedDays = left / perDayL - left / designPerDayL;
  const moved =
    Math.abs(movedDays) < 0.05
      ? "which changes nothing"
      : `so it ${holds === "fresh" ? "lasts" : "takes"} ${formatStay(Math.abs(movedDays))} ${movedDays > 0 ? "longer" : "less"}`;
  return `${taught}; the design says ${figure(designPerDayL)}, ${moved}.`;
}

/** A reading that does not fit, with what it is most likely. */
export const describeOdd = (oddL: number, holds: NowLevel["holds"], units: Units): string =>
  `The last reading is ${formatQuantity(Math.abs(oddL), "volume", units)} ${oddL > 0 ? "more" : "less"} than the book says. ${
    ODD[holds === "fresh" ? "fresh" : "waste"][oddL > 0 ? "more" : "less"]
  } Read it again, standing level.`;

const ODD = {
  fresh: {
    less: "Look for a leak and a tap that drips, or for a use that was not counted.",
    more: "Look for a fill that was not written down.",
  },
  waste: {
    less: "Look for a leak under it, or for a dump that was not written down.",
    more: "Look for a tap that runs, a pump that comes on by itself, or a use that was not counted.",
  },
} as const;

/** How a level is read. */
export const READ_WAYS = { litres: "as litres", dip: "by a stick", mark: "as its gauge" } as const;
export type ReadWay = keyof typeof READ_WAYS;

/** How a level was read, kept with its line. */
export const describeReadNote = (
  read:
    | { readonly way: "dip"; readonly depthMm: number }
    | { readonly way: "mark"; readonly mark: number; readonly of: number },
): string =>
  read.way === "dip"
    ? `stick wet ${formatNumber(read.depthMm, 0)}\u00a0mm`
    : `gauge at mark ${read.mark + 1} of ${read.of}`;

/** Columns of a logbook as CSV. */
export const LOG_COLUMN_NAMES = {
  at: "When",
  what: "What",
  of: "Of which tank",
  litres: "Litres",
  note: "Note",
} as const;
