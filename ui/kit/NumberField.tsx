"use client";
import { useId, useState } from "react";
import type { Quantity } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { describeRead, formatParts, parseQuantity } from "@/words/units";

type NumberFieldProps = {
  readonly label: string;
  readonly value: number | null;
  readonly quantity: Quantity;
  /** Takes the typed value in its stored unit; the answer is a sentence when it is refused. */
  readonly onCommit: (value: number | null) => string | null;
  /** An emptied field is an answer of its own: there is none. */
  readonly clearable?: boolean;
  readonly help?: string;
  readonly step?: number;
  readonly suffix?: string;
};

/** A figure that can be typed: with any unit, fractions too; taken over on Enter or on leaving the field. */
export function NumberField(props: NumberFieldProps) {
  const { label, value, quantity, onCommit, clearable = false, help, step = 1, suffix } = props;
  const units = useWorkbench((state) => state.units);
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const parts =
    value === null ? { figure: "", unit: formatParts(0, quantity, units).unit } : formatParts(value, quantity, units);

  const commit = (text: string) => {
    if (clearable && text.trim() === "") {
      const reason = onCommit(null);
      setRefusal(reason);
      if (reason === null) setTyped(null);
      return;
    }
    const read = parseQuantity(text, quantity, units);
    const reason = read.ok ? onCommit(read.value) : describeRead(read.reason, quantity, units);
    setRefusal(reason);
    if (reason === null) setTyped(null);
  };
  const nudge = (by: number) => {
    const reason = onCommit((value ?? 0) + by);
    setTyped(null);
    setRefusal(reason);
  };

  return (
    <div className="min-w-0">
      <div className="flex min-h-8 items-center gap-2 phone:min-h-11">
        <label htmlFor={id} className="min-w-0 flex-1 text-[13px] text-faint phone:text-[15px]" title={help}>
          {label}
        </label>
        <input
          id={id}
          inputMode={quantity === "length" || quantity === "angle" ? "text" : "decimal"}
          autoComplete="off"
          value={typed ?? parts.figure}
          aria-invalid={refusal !== null}
          aria-describedby={refusal ? `${id}-why` : undefined}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={() => typed !== null && commit(typed)}
          onKeyDown={(event) => {
            if (event.key === "Enter") commit(typed ?? parts.figure);
            else if (event.key === "Escape") {
              setTyped(null);
              setRefusal(null);
            } else if (event.key === "ArrowUp" || event.key === "ArrowDown") {
              event.preventDefault();
              nudge((event.key === "ArrowUp" ? 1 : -1) * step * (event.shiftKey ? 10 : 1));
            }
          }}
          className={`figures h-7 w-[72px] border-b bg-sheet px-1.5 text-right text-[16px] hover:bg-pick phone:h-10 phone:w-28 phone:text-[18px] ${refusal ? "border-b-2 border-signal" : "border-edge"}`}
        />
        <span className="figures min-w-5 shrink-0 desk:w-[42px] text-[13px] text-faint">{suffix ?? parts.unit}</span>
      </div>
      {refusal && (
        <p id={`${id}-why`} role="alert" className="pb-1 text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </div>
  );
}
