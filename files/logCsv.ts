import Papa from "papaparse";
import type { Design } from "@/core/design/design";
import { LOG_KINDS, type LogEntry, type LogKind } from "@/core/record/record";
import { toDate, toDays } from "@/core/road/civil";
import { LOG_NAMES } from "@/words/road";
import { describeStore } from "@/words/stores";

/** The logbook, a line a row; what a spreadsheet would take for a formula is neutralised. */
export function writeLogCsv(design: Design, entries: readonly LogEntry[]): string {
  const rows = entries.map(({ at, kind, storeId, amount, note }) => ({
    at,
    what: LOG_NAMES[kind],
    of: storeId === null ? "" : describeStore(storeId, design),
    litres: amount ?? "",
    note,
  }));
  return `${Papa.unparse(rows, { escapeFormulae: true })}\r\n`;
}

export const LOG_COLUMNS = ["at", "what", "of", "litres", "note"] as const;
export type LogColumn = (typeof LOG_COLUMNS)[number];
/** Which column of a file holds what, counted from 0; −1 for none. */
export type LogColumns = Readonly<Record<LogColumn, number>>;

export type LogCsvOutcome =
  | { readonly ok: true; readonly entries: readonly Omit<LogEntry, "id">[]; readonly skipped: readonly string[] }
  | { readonly ok: false; readonly reason: "broken"; readonly sentence: string }
  /** It is not clear which column is which: these are there, and these were guessed. */
  | { readonly ok: false; readonly reason: "columns"; readonly names: readonly string[]; readonly guess: LogColumns };

/** Columns by the names they go under; the first that is there is taken. */
const NAMES: Readonly<Record<LogColumn, readonly string[]>> = {
  at: ["at", "when", "date", "time", "day"],
  what: ["what", "kind", "event", "type"],
  of: ["of", "tank", "store"],
  litres: ["litres", "liters", "amount", "l"],
  note: ["note", "notes", "remark", "comment"],
};

const MOST_LINES = 20_000;

/**
 * Reads a logbook out of CSV. When and what are wanted, the rest may be missing; where the first line does not name them, the
 * columns are asked for and given with the next call. Lines that do not fit are told by number.
 */
export function readLogCsv(
  text: string,
  stores: ReadonlyMap<string, string>,
  columns: LogColumns | null = null,
): LogCsvOutcome {
  const { data: rows, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, "").replace(/\r\n?/g, "\n"), {
    skipEmptyLines: true,
  });
  const broken = errors.find(({ type }) => type === "Quotes");
  const refuse = (sentence: string): LogCsvOutcome => ({ ok: false, reason: "broken", sentence });
  if (broken) return refuse(`Not readable at line ${(broken.row ?? 0) + 1}: ${broken.message}`);
  const [head = [], ...lines] = rows;
  if (head.length < 2) return refuse("The first line must name the columns, when and what among them.");
  const names = head.map((name) => name.trim());
  const indexOf = (column: LogColumn) => names.findIndex((name) => NAMES[column].includes(name.toLowerCase()));
  const guess = Object.fromEntries(LOG_COLUMNS.map((column) => [column, indexOf(column)])) as LogColumns;
  const { at, what, of, litres, note } = columns ?? guess;
  if (at < 0 || what < 0) return { ok: false, reason: "columns", names, guess };
  if (lines.length > MOST_LINES) return refuse("More than 20,000 lines: read it in parts.");
  const byName = new Map([...stores].map(([id, name]) => [name.toLowerCase(), id]));
  const entries: Omit<LogEntry, "id">[] = [];
  const skipped: string[] = [];
  for (const [i, line] of lines.entries()) {
    const cell = (column: number) => (column < 0 ? "" : (line[column] ?? "").trim());
    const moment = readMoment(cell(at));
    const kind = readKind(cell(what));
    const amountText = cell(litres).replace(",", ".");
    const amount = amountText === "" ? null : Number(amountText);
    if (!moment) skipped.push(`line ${i + 2}: ${cell(at) || "no day"} is no day such as 2026-05-01 14:30`);
    else if (!kind) skipped.push(`line ${i + 2}: ${cell(what) || "nothing"} is not known here`);
    else if (amount !== null && !(amount >= 0 && amount <= 5_000))
      skipped.push(`line ${i + 2}: ${cell(litres)} litres`);
    else if (cell(of) !== "" && !byName.has(cell(of).toLowerCase()))
      skipped.push(`line ${i + 2}: ${cell(of)} is no tank of this rig`);
    else {
      const storeId = byName.get(cell(of).toLowerCase()) ?? null;
      entries.push({
        at: moment,
        kind,
        storeId,
        amount,
        note: cell(note)
          .replace(/^'(?=[=+\-@])/, "")
          .slice(0, 400),
      });
    }
  }
  return { ok: true, entries, skipped };
}

function readMoment(text: string): string | null {
  const [, day, time = "12:00"] = /^(\d{4}-\d{2}-\d{2})(?:[T ](\d{2}:\d{2})(?::\d{2})?)?$/.exec(text) ?? [];
  if (!day || toDate(toDays(day)) !== day) return null;
  const [hour = 0, minute = 0] = time.split(":").map(Number);
  return hour < 24 && minute < 60 ? `${day}T${time}` : null;
}

function readKind(text: string): LogKind | null {
  const wanted = text.toLowerCase();
  return LOG_KINDS.find((kind) => kind === wanted || LOG_NAMES[kind].toLowerCase() === wanted) ?? null;
}
