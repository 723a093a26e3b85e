"use client";
import { useId, useState } from "react";
import { LOG_KINDS, type LogKind } from "@/core/record/record";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/road/newEntry";
import { LOG_NAMES, nameAmount, readAmount, toAmountOf, WITH_STORE } from "@/words/road";
import { describeStore } from "@/words/stores";
import { Group } from "../../fields/Group";
import { PhotoField } from "../../fields/PhotoField";
import { Button } from "../../kit/Button";
import { FIELD_LOOK, FieldRow } from "../../kit/FieldRow";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { thisMinute } from "../now";
import { add } from "./NowStage";

// which way is lived is said where it is reckoned with
const KINDS = LOG_KINDS.filter((kind) => kind !== "living");

/** One line more: what, of which tank, how much, and when where that was not just now. */
export function NewEntry() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const stores = useWorkbench((state) => state.evaluation!.balance.stores);
  const [kind, setKind] = useState<LogKind>("note");
  const [storeId, setStoreId] = useState<string | null>(null);
  const [amount, setAmount] = useState("");
  const [note, setNote] = useState("");
  const [at, setAt] = useState("");
  const [shots, setShots] = useState<readonly string[]>([]);
  const [refusal, setRefusal] = useState<string | null>(null);
  const ids = { amount: useId(), at: useId() };
  const isAbout = WITH_STORE.includes(kind);
  const store = stores.find(({ store: { id } }) => id === storeId) ?? stores[0];
  const unit = { volume: units === "metric" ? "L" : "gal", count: "", mgPerL: "mg/L" }[toAmountOf(kind) ?? "count"];
  const write = () => {
    const read = readAmount(amount, kind, units);
    if (!read.ok) return setRefusal(read.sentence);
    if (kind === "reading" && read.amount === null) return setRefusal(WORDS.sayWhatWasRead);
    if (at > thisMinute()) return setRefusal(WORDS.thatIsStillToCome);
    setRefusal(null);
    add({
      kind,
      storeId: isAbout ? (store?.store.id ?? null) : null,
      amount: read.amount,
      note: note.slice(0, 400),
      ...(at === "" ? {} : { at: at.slice(0, 16) }),
      ...(shots.length > 0 ? { photos: [...shots] } : {}),
    });
    setAmount("");
    setNote("");
    setAt("");
    setShots([]);
  };
  return (
    <Group title={WORDS.writeDown}>
      <Pick<LogKind> label={WORDS.what} value={kind} names={LOG_NAMES} order={KINDS} onPick={setKind} />
      {isAbout && store && (
        <Pick
          label={WORDS.of}
          value={store.store.id}
          names={Object.fromEntries(stores.map(({ store: { id } }) => [id, describeStore(id, design)]))}
          onPick={setStoreId}
        />
      )}
      {toAmountOf(kind) !== null && (
        <FieldRow id={ids.amount} label={nameAmount(kind)}>
          <input
            id={ids.amount}
            value={amount}
            inputMode="decimal"
            onChange={(event) => setAmount(event.target.value)}
            className={`figures w-[72px] text-right text-[16px] phone:w-28 ${FIELD_LOOK}`}
          />
          <span className="figures min-w-5 shrink-0 text-[13px] text-faint desk:w-[42px]">{unit}</span>
        </FieldRow>
      )}
      <FieldRow id={ids.at} label={WORDS.whenIfNotNow}>
        <input
          id={ids.at}
          type="datetime-local"
          value={at}
          max={thisMinute()}
          onChange={(event) => setAt(event.target.value)}
          className={`w-[190px] text-[14px] ${FIELD_LOOK}`}
        />
      </FieldRow>
      <TextField
        label={WORDS.note}
        value={note}
        onCommit={(value) => {
          setNote(value);
          return null;
        }}
      />
      <div className="flex flex-wrap items-center gap-2 pt-1.5">
        <Button look="plate" className="phone:min-h-14 phone:flex-1" onClick={write}>
          {WORDS.writeIt}
        </Button>
        <PhotoField ids={shots} onChange={setShots} />
      </div>
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </Group>
  );
}
