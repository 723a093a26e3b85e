"use client";
import { Download, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { LOG_KINDS, type LogKind } from "@/core/record/record";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { describeEntry, LOG_NAMES, WITH_STORE } from "@/words/road";
import { describeStore } from "@/words/stores";
import { parsePlain } from "@/words/units";
import { Group } from "../../fields/Group";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { useRecords } from "../useRecords";
import { JourneyMeasures } from "./JourneyMeasures";
import { add } from "./NowStage";

/** So many lines are shown at once; search finds the others. */
const SHOWN = 60;

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
    });
    setAmount("");
    setNote("");
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
        {kind === "showers" ? "How many" : "Litres, if known"}
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
  const [query, setQuery] = useState("");
  const rows = useMemo(() => {
    const wanted = query.trim().toLowerCase();
    const found: { readonly id: string; readonly at: string; readonly text: string }[] = [];
    // from the end, and no further than is shown
    for (let i = log.length - 1; i >= 0 && found.length < SHOWN; i--) {
      const entry = log[i]!;
      const text = describeEntry(entry, design, units);
      if (wanted === "" || `${entry.at} ${text}`.toLowerCase().includes(wanted))
        found.push({ id: entry.id, at: entry.at, text });
    }
    return found;
  }, [log, query, design, units]);
  const download = async () => {
    const { handOutCsv } = await import("../../kit/writeCsv");
    handOutCsv(
      `${design.id}-log.csv`,
      log.map(({ at, kind, storeId, amount, note }) => ({
        at,
        what: LOG_NAMES[kind],
        of: storeId === null ? "" : describeStore(storeId, design),
        litres: amount ?? "",
        note,
      })),
    );
  };
  return (
    <Group
      title={`Logbook, ${log.length} ${log.length === 1 ? "line" : "lines"}`}
      aside={
        <Button onClick={() => void download()} disabled={log.length === 0}>
          <Download size={13} aria-hidden /> CSV
        </Button>
      }
    >
      <input
        type="search"
        aria-label="Search the logbook"
        placeholder="Search"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
        className="mb-1 min-h-8 w-full border-b border-edge bg-sheet px-2 phone:min-h-11"
      />
      {rows.length === 0 ? (
        <p className="text-[13px] text-faint">
          {log.length === 0 ? "Nothing written yet." : "No line has these words."}
        </p>
      ) : (
        <ul aria-label="Lines of the logbook">
          {rows.map(({ id, at, text }) => (
            <li key={id} className="flex items-baseline gap-2 border-t border-rule py-1 text-[13px]">
              <span className="figures shrink-0 text-[14px] text-faint">{at.replace("T", " ")}</span>
              <span className="flex-1">{text}</span>
              <Button look="bare" aria-label={`Take out: ${text}`} onClick={() => void records.removeEntry(id)}>
                <Trash2 size={13} aria-hidden />
              </Button>
            </li>
          ))}
        </ul>
      )}
    </Group>
  );
}
