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

export type LogCsvOutcome =
  | { readonly ok: true; readonly entries: readonly Omit<LogEntry, "id">[]; readonly skipped: readonly string[] }
  | { readonly ok: false; readonly sentence: string };

/** Columns by the names they go under; the first that is there is taken. */
const COLUMNS = {
  at: ["at", "when", "date", "time", "day"],
  what: ["what", "kind", "event", "type"],
  of: ["of", "tank", "store"],
  litres: ["litres", "liters", "amount", "l"],
  note: ["note", "notes", "remark", "comment"],
} as const;

const MOST_LINES = 20_000;

/** Reads a logbook out of CSV: `at` and `what` are wanted, the rest may be missing. Lines that do not fit are told by number. */
export function readLogCsv(text: string, stores: ReadonlyMap<string, string>): LogCsvOutcome {
  const { data: rows, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, "").replace(/\r\n?/g, "\n"), {
    skipEmptyLines: true,
  });
  const broken = errors.find(({ type }) => type === "Quotes");
  if (broken) return { ok: false, sentence: `Not readable at line ${(broken.row ?? 0) + 1}: ${broken.message}` };
  const [head = [], ...lines] = rows;
  const names = head.map((name) => name.trim().toLowerCase());
  const columnOf = (wanted: readonly string[]) => names.findIndex((name) => wanted.includes(name));
  const [at, what] = [columnOf(COLUMNS.at), columnOf(COLUMNS.what)];
  if (at < 0 || what < 0) {
    return {
      ok: false,
      sentence: `The first line must name the columns, "at" and "what" among them; it has ${names.join(", ") || "nothing"}.`,
    };
  }
  if (lines.length > MOST_LINES) return { ok: false, sentence: "More than 20,000 lines: read it in parts." };
  const [of, litres, note] = [columnOf(COLUMNS.of), columnOf(COLUMNS.litres), columnOf(COLUMNS.note)];
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
