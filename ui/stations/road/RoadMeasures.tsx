"use client";
import { Download, Pencil, Trash2, Upload } from "lucide-react";
import { memo, useEffect, useMemo, useRef, useState } from "react";
import { LOG_KINDS, type LogEntry, type LogKind } from "@/core/record/record";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { LOG_NAMES, nameAmount, WITH_STORE } from "@/words/road";
import { describeStore } from "@/words/stores";
import { parsePlain } from "@/words/units";
import { Group } from "../../fields/Group";
import { PhotoField, PhotoStrip } from "../../fields/PhotoField";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { useRecords } from "../useRecords";
import { JourneyMeasures } from "./JourneyMeasures";
import { add } from "./NowStage";
import { createBookIndex, type Row, searchBook, warmBook } from "./searchBook";

/** So many lines are shown at once; search finds the others. */
const SHOWN = 30;

/** The logbook: a line more in ten seconds, the last first, searched and handed out. */
export function RoadMeasures() {
  const view = useWorkbench((state) => state.roadView);
  return (
    <>
      {view === "journey" ? <JourneyMeasures /> : <NewEntry />}
      <Book />
    </>
  );
}

function NewEntry() {
  const design = useWorkbench((state) => state.history!.design);
  const stores = useWorkbench((state) => state.evaluation!.balance.stores);
  const [kind, setKind] = useState<LogKind>("note");
  const [storeId, setStoreId] = useState<string | null>(null);
  const [amount, setAmount] = useState("");
  const [note, setNote] = useState("");
  const [shots, setShots] = useState<readonly string[]>([]);
  const [refusal, setRefusal] = useState<string | null>(null);
  const isAbout = WITH_STORE.includes(kind);
  const store = stores.find(({ store: { id } }) => id === storeId) ?? stores[0];
  const write = () => {
    const read = amount.trim() === "" ? null : parsePlain(amount);
    if (read && (!read.ok || read.value < 0 || read.value > 5_000)) {
      setRefusal("A figure from 0 to 5,000, or none.");
      return;
    }
    setRefusal(null);
    add({
      kind,
      storeId: isAbout ? (store?.store.id ?? null) : null,
      amount: read?.ok ? read.value : null,
      note: note.slice(0, 400),
      ...(shots.length > 0 ? { photos: [...shots] } : {}),
    });
    setAmount("");
    setNote("");
    setShots([]);
  };
  return (
    <Group title="Write down">
      <Pick<LogKind> label="What" value={kind} names={LOG_NAMES} order={LOG_KINDS} onPick={setKind} />
      {isAbout && store && (
        <Pick
          label="Of"
          value={store.store.id}
          names={Object.fromEntries(stores.map(({ store: { id } }) => [id, describeStore(id, design)]))}
          onPick={setStoreId}
        />
      )}
      <label className="flex min-h-8 items-center justify-between gap-2 text-[13px] text-faint">
        {nameAmount(kind)}
        <input
          value={amount}
          inputMode="decimal"
          onChange={(event) => setAmount(event.target.value)}
          className="figures w-20 border-b border-edge bg-sheet px-2 text-right text-[16px] text-ink phone:min-h-11"
        />
      </label>
      <TextField
        label="Note"
        value={note}
        onCommit={(value) => {
          setNote(value);
          return null;
        }}
      />
      <PhotoField ids={shots} onChange={setShots} />
      <Button look="plate" onClick={write}>
        Write it
      </Button>
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </Group>
  );
}

function Book() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const log = useRecords((state) => state.log);
  const stores = useWorkbench((state) => state.evaluation!.balance.stores);
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [editing, setEditing] = useState<string | null>(null);
  const [query, setQuery] = useState("");
  const index = useMemo(() => createBookIndex(design, units), [design, units]);
  useEffect(() => warmBook(log, index), [log, index]);
  const rows = useMemo(() => searchBook(log, index, query, SHOWN), [log, index, query]);
  const download = async () => {
    const [{ writeLogCsv }, { handOut }] = await Promise.all([import("@/files/logCsv"), import("../../kit/handOut")]);
    handOut(`${design.id}-log.csv`, writeLogCsv(design, log), "text/csv");
  };
  const readIn = async (file: File) => {
    const { readLogCsv } = await import("@/files/logCsv");
    const outcome = readLogCsv(
      await file.text(),
      new Map(stores.map(({ store: { id } }) => [id, describeStore(id, design)])),
    );
    if (!outcome.ok) return setRefusal(`${file.name}: ${outcome.sentence}`);
    const stamp = Date.now().toString(36);
    for (const [i, entry] of outcome.entries.entries())
      await records.addEntry({ id: `c${stamp}${i.toString(36)}`, ...entry });
    const [first] = outcome.skipped;
    setRefusal(first ? `${outcome.skipped.length} left out, the first at ${first}.` : null);
    tell(`${outcome.entries.length} lines read.`);
  };
  return (
    <Group
      title={`Logbook, ${log.length} ${log.length === 1 ? "line" : "lines"}`}
      aside={
        <span className="flex gap-1">
          <Button onClick={() => input.current?.click()}>
            <Upload size={13} aria-hidden /> Read CSV
          </Button>
          <Button onClick={() => void download()} disabled={log.length === 0}>
            <Download size={13} aria-hidden /> CSV
          </Button>
        </span>
      }
    >
      <input
        ref={input}
        type="file"
        aria-label="Logbook as CSV"
        accept=".csv"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void readIn(file).catch(() => setRefusal("That file could not be read."));
        }}
      />
      {refusal && (
        <p role="alert" className="pb-1 text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
      <input
        type="search"
        aria-label="Search the logbook"
        placeholder="Search"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
        className="mb-1 min-h-8 w-full border-b border-edge bg-sheet px-2 phone:min-h-11"
      />
      {log.length > SHOWN && rows.length === SHOWN && (
        <p className="text-[12px] text-faint">The last {SHOWN} that fit. Search finds the others.</p>
      )}
      {rows.length === 0 ? (
        <p className="text-[13px] text-faint">
          {log.length === 0 ? "Nothing written yet." : "No line has these words."}
        </p>
      ) : (
        <ul aria-label="Lines of the logbook">
          {rows.map((row) => (
            <BookRow key={row.entry.id} row={row} isEditing={editing === row.entry.id} onEdit={setEditing} />
          ))}
        </ul>
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
    <li className="flex flex-wrap items-baseline gap-x-2 border-t border-rule py-1 text-[13px] [contain-intrinsic-size:auto_29px] [content-visibility:auto]">
      <span className="figures shrink-0 text-[14px] text-faint">{at.replace("T", " ")}</span>
      <span className="flex-1">{text}</span>
      <Button
        look="bare"
        aria-label={`Change: ${text}`}
        aria-expanded={isEditing}
        onClick={() => onEdit(isEditing ? null : id)}
      >
        <Pencil size={13} aria-hidden />
      </Button>
      <Button look="bare" aria-label={`Take out: ${text}`} onClick={() => void records.removeEntry(id)}>
        <Trash2 size={13} aria-hidden />
      </Button>
      {taken && (
        <div className="w-full">
          <PhotoStrip ids={taken} />
        </div>
      )}
      {isEditing && <EntryFields entry={entry} onDone={() => onEdit(null)} />}
    </li>
  );
});

// One line put right; what it said before comes back with Undo.
function EntryFields({ entry, onDone }: { readonly entry: LogEntry; readonly onDone: () => void }) {
  const [at, setAt] = useState(entry.at);
  const [amount, setAmount] = useState(entry.amount === null ? "" : String(entry.amount));
  const [note, setNote] = useState(entry.note);
  const [refusal, setRefusal] = useState<string | null>(null);
  const keep = () => {
    const read = amount.trim() === "" ? null : parsePlain(amount);
    if (read && (!read.ok || read.value < 0 || read.value > 5_000))
      return setRefusal("A figure from 0 to 5,000, or none.");
    if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(at)) return setRefusal("A day and a time.");
    records
      .changeEntry({ ...entry, at, amount: read?.ok ? read.value : null, note: note.slice(0, 400) })
      .then(() => tell("Put right.", { action: { label: "Undo", run: () => void records.changeEntry(entry) } }))
      .catch(() => tell("That could not be kept in this browser.", { tone: "warning" }));
    onDone();
  };
  const field = "min-h-8 border-b border-edge bg-sheet px-2 text-[14px] phone:min-h-11";
  return (
    <div className="flex w-full flex-wrap items-center gap-1.5 py-1 pl-2">
      <input
        type="datetime-local"
        aria-label="When"
        value={at}
        onChange={(event) => setAt(event.target.value)}
        className={field}
      />
      <input
        aria-label="Litres"
        inputMode="decimal"
        value={amount}
        onChange={(event) => setAmount(event.target.value)}
        className={`${field} figures w-20 text-right`}
      />
      <input
        aria-label="Note of the line"
        value={note}
        onChange={(event) => setNote(event.target.value)}
        className={`${field} min-w-32 flex-1`}
      />
      <Button onClick={keep}>Keep</Button>
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </div>
  );
}
