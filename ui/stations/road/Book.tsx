"use client";
import { Download, Trash2, Upload } from "lucide-react";
import { memo, useEffect, useMemo, useRef, useState } from "react";
import { LOG_KINDS, type LogEntry } from "@/core/record/record";
import type { LogColumns } from "@/files/logCsv";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import * as WORDS from "@/words/panels/road/book";
import { describeEarlier, formatAmount, LOG_NAMES, nameAmount, readAmount, toAmountOf } from "@/words/road";
import { describeStore } from "@/words/stores";
import { Group } from "../../fields/Group";
import { PhotoStrip } from "../../fields/PhotoField";
import { Button } from "../../kit/Button";
import { FIELD_LOOK } from "../../kit/FieldRow";
import { thisMinute } from "../now";
import { useRecords } from "../useRecords";
import { type AskedColumns, ColumnFields } from "./ColumnFields";
import { createBookIndex, inTime, type Only, type Row, searchBook, warmBook } from "./searchBook";

/** So many lines are shown at first, and so many more each time older ones are asked for. */
const SHOWN = 12;
const OLDER = 30;
/** So often a line may be put right before what it said first is forgotten. */
const MOST_EARLIER = 20;

/** The book, the last line first: searched, sifted, put right, handed out and read in. */
export function Book() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const log = useRecords((state) => state.log);
  const stores = useWorkbench((state) => state.evaluation!.balance.stores);
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [asked, setAsked] = useState<AskedColumns | null>(null);
  const [editing, setEditing] = useState<string | null>(null);
  const [query, setQuery] = useState("");
  const [only, setOnly] = useState<Only>("all");
  const [most, setMost] = useState(SHOWN);
  const index = useMemo(() => createBookIndex(design, units), [design, units]);
  useEffect(() => warmBook(log, index), [log, index]);
  // one more than is shown says that there are older ones
  const found = useMemo(() => searchBook(inTime(log), index, query, most + 1, only), [log, index, query, most, only]);
  const rows = found.slice(0, most);
  const download = async () => {
    const [{ writeLogCsv }, { handOut }] = await Promise.all([import("@/files/logCsv"), import("../../kit/handOut")]);
    handOut(`${design.id}-log.csv`, writeLogCsv(design, log), "text/csv");
  };
  const readIn = async (name: string, text: string, columns: LogColumns | null) => {
    const { readLogCsv } = await import("@/files/logCsv");
    const outcome = readLogCsv(
      text,
      new Map(stores.map(({ store: { id } }) => [id, describeStore(id, design)])),
      columns,
    );
    setAsked(null);
    setRefusal(null);
    if (!outcome.ok) {
      if (outcome.reason === "columns") return setAsked({ name, text, names: outcome.names, guess: outcome.guess });
      return setRefusal(`${name}: ${outcome.sentence}`);
    }
    const stamp = Date.now().toString(36);
    for (const [i, entry] of outcome.entries.entries())
      await records.addEntry({ id: `c${stamp}${i.toString(36)}`, ...entry });
    const [first] = outcome.skipped;
    setRefusal(first ? WORDS.leftOutTheFirstAt(outcome.skipped.length, first) : null);
    tell(WORDS.linesRead(outcome.entries.length));
  };
  return (
    <Group
      title={WORDS.logbook(log.length, WORDS.lines(log.length))}
      aside={
        <span className="flex gap-1">
          <Button onClick={() => input.current?.click()}>
            <Upload size={13} aria-hidden /> {WORDS.readCsv}
          </Button>
          <Button onClick={() => void download()} disabled={log.length === 0}>
            <Download size={13} aria-hidden /> {WORDS.csv}
          </Button>
        </span>
      }
    >
      <input
        ref={input}
        type="file"
        aria-label={WORDS.logbookAsCsv}
        accept=".csv"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (!file) return;
          void file
            .text()
            .then((text) => readIn(file.name, text, null))
            .catch(() => setRefusal(WORDS.thatFileCouldNotBe));
        }}
      />
      {refusal && (
        <p role="alert" className="pb-1 text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
      {asked && <ColumnFields asked={asked} onRead={(columns) => void readIn(asked.name, asked.text, columns)} />}
      <div className="mb-1 flex gap-1.5">
        <input
          type="search"
          aria-label={WORDS.searchTheLogbook}
          placeholder={WORDS.search}
          value={query}
          onChange={(event) => {
            setQuery(event.target.value);
            setMost(SHOWN);
          }}
          className="min-h-8 min-w-0 flex-1 border-b border-edge bg-sheet px-2 phone:min-h-11"
        />
        <select
          aria-label={WORDS.linesShown}
          value={only}
          onChange={(event) => {
            setOnly(event.target.value as Only);
            setMost(SHOWN);
          }}
          className={`min-h-8 w-32 text-[14px] phone:min-h-11 ${FIELD_LOOK}`}
        >
          <option value="all">{WORDS.allLines}</option>
          {stores.map(({ store: { id } }) => (
            <option key={id} value={`store:${id}`}>
              {describeStore(id, design)}
            </option>
          ))}
          {LOG_KINDS.map((kind) => (
            <option key={kind} value={`kind:${kind}`}>
              {LOG_NAMES[kind]}
            </option>
          ))}
        </select>
      </div>
      {rows.length === 0 ? (
        <p className="text-[13px] text-faint">
          {log.length === 0
            ? WORDS.nothingWrittenYet
            : query.trim() === ""
              ? WORDS.noSuchLine
              : WORDS.noLineHasTheseWords}
        </p>
      ) : (
        <ul aria-label={WORDS.linesOfTheLogbook}>
          {rows.map((row) => (
            <BookRow key={row.entry.id} row={row} isEditing={editing === row.entry.id} onEdit={setEditing} />
          ))}
        </ul>
      )}
      {found.length > most && (
        <Button className="mt-1" onClick={() => setMost(most + OLDER)}>
          {WORDS.olderLines}
        </Button>
      )}
    </Group>
  );
}

/** One line of the book; it is drawn again only when it is another. */
const BookRow = memo(function BookRow({
  row: { entry, text },
  isEditing,
  onEdit,
}: {
  readonly row: Row;
  readonly isEditing: boolean;
  readonly onEdit: (id: string | null) => void;
}) {
  const { id, at, photos: taken } = entry;
  return (
    <li className="border-t border-rule text-[13px] [contain-intrinsic-size:auto_29px] [content-visibility:auto]">
      <button
        type="button"
        aria-expanded={isEditing}
        title={WORDS.putRightOrTakeOut}
        className="flex w-full flex-wrap items-baseline gap-x-2 py-1 text-left hover:bg-pick/60 phone:min-h-11"
        onClick={() => onEdit(isEditing ? null : id)}
      >
        <span className="figures shrink-0 text-[14px] text-faint">{at.replace("T", " ")}</span>
        <span className="flex-1">{text}</span>
      </button>
      {taken && <PhotoStrip ids={taken} />}
      {isEditing && <EntryFields entry={entry} onDone={() => onEdit(null)} />}
    </li>
  );
});

function takeOut(entry: LogEntry): void {
  records
    .removeEntry(entry.id)
    .then(() => tell(WORDS.takenOut, { action: { label: WORDS.undo, run: () => void records.addEntry(entry) } }))
    .catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
}

// One line put right; what it said before stays with it, and comes back with Undo.
function EntryFields({ entry, onDone }: { readonly entry: LogEntry; readonly onDone: () => void }) {
  const units = useWorkbench((state) => state.units);
  const [at, setAt] = useState(entry.at);
  const [amount, setAmount] = useState(formatAmount(entry.amount, entry.kind, units));
  const [note, setNote] = useState(entry.note);
  const [refusal, setRefusal] = useState<string | null>(null);
  const hasAmount = toAmountOf(entry.kind) !== null;
  const keep = () => {
    const typed = hasAmount ? readAmount(amount, entry.kind, units) : { ok: true as const, amount: entry.amount };
    if (!typed.ok) return setRefusal(typed.sentence);
    if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(at)) return setRefusal(WORDS.aDayAndATime);
    // a figure nobody touched stays as it was written, whatever it was rounded to here
    const isSame = amount === formatAmount(entry.amount, entry.kind, units);
    const next = { at, amount: isSame ? entry.amount : typed.amount, note: note.slice(0, 400) };
    onDone();
    if (next.at === entry.at && next.amount === entry.amount && next.note === entry.note) return;
    const before = { until: thisMinute(), at: entry.at, amount: entry.amount, note: entry.note };
    records
      .changeEntry({ ...entry, ...next, was: [...(entry.was ?? []), before].slice(-MOST_EARLIER) })
      .then(() => tell(WORDS.putRight, { action: { label: WORDS.undo, run: () => void records.changeEntry(entry) } }))
      .catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
  };
  const field = "min-h-8 border-b border-edge bg-sheet px-2 text-[14px] phone:min-h-11";
  return (
    <div className="flex w-full flex-wrap items-center gap-1.5 py-1 pl-2">
      <input
        type="datetime-local"
        aria-label={WORDS.when}
        value={at}
        onChange={(event) => setAt(event.target.value)}
        className={field}
      />
      {hasAmount && (
        <input
          aria-label={nameAmount(entry.kind)}
          inputMode="decimal"
          value={amount}
          onChange={(event) => setAmount(event.target.value)}
          className={`${field} figures w-20 text-right`}
        />
      )}
      <input
        aria-label={WORDS.noteOfTheLine}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        className={`${field} min-w-32 flex-1`}
      />
      <Button onClick={keep}>{WORDS.keep}</Button>
      <Button onClick={() => takeOut(entry)}>
        <Trash2 size={13} aria-hidden /> {WORDS.takeOut}
      </Button>
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
      {entry.was && (
        <ul aria-label={WORDS.whatItSaidBefore} className="w-full text-[12.5px] text-faint">
          {[...entry.was].reverse().map((earlier) => (
            <li key={`${earlier.until} ${earlier.at} ${earlier.amount} ${earlier.note}`}>
              {describeEarlier(earlier, entry.kind, units)}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
