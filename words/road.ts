import type { Design } from "@/core/design/design";
import type { LogEntry, LogKind } from "@/core/record/record";
import type { NowLevel } from "@/core/road/levels";
import { describeStore } from "./stores";
import { formatNumber, formatQuantity, type Units } from "./units";

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
  note: "Note",
};

/** Kinds of entry that are about a tank and take litres. */
export const WITH_STORE: readonly LogKind[] = ["fill", "dump", "reading", "cleaning", "smell", "leak"];

/** What the figure of an entry is, beside its field. */
export const nameAmount = (kind: LogKind): string =>
  kind === "showers" ? "How many" : kind === "waterTest" ? "mg/L over fresh water" : "Litres, if known";

/** One line of the book. */
export function describeEntry({ kind, storeId, amount, note }: LogEntry, design: Design, units: Units): string {
  const about = storeId === null ? "" : ` ${describeStore(storeId, design)}`;
  const figure =
    amount === null
      ? ""
      : kind === "showers"
        ? ` ${formatNumber(amount, 0)}`
        : kind === "waterTest"
          ? ` ${formatNumber(amount, 0)} mg/L`
          : `, ${formatQuantity(amount, "volume", units)}`;
  return `${LOG_NAMES[kind]}${about}${figure}${note === "" ? "" : `: ${note}`}`;
}

/** How a tank stands now, and how sure that is. */
export function describeNow({ holds, litres, lowL, highL, daysLeft, since }: NowLevel, units: Units): string {
  const figure = (l: number) => formatQuantity(l, "volume", units);
  if (since === null) return "Nothing is in the book yet: press what you did last.";
  const left =
    daysLeft === null ? "" : `, ${formatNumber(daysLeft, 1)} days ${holds === "fresh" ? "left" : "until full"}`;
  return `${figure(litres)} by the sum, ${figure(lowL)} to ${figure(highL)} four times in five${left}.`;
}

/** A reading that does not fit, with what it is most likely. */
export const describeOdd = (oddL: number, holds: NowLevel["holds"], units: Units): string =>
  `The last reading is ${formatQuantity(Math.abs(oddL), "volume", units)} ${oddL > 0 ? "more" : "less"} than the book says. ${
    oddL < 0 === (holds === "fresh") || oddL < 0
      ? "Look for a leak, or for a fill or dump that was not written down."
      : "Look whether the gauge was read on a slope, or a use was not counted."
  }`;
