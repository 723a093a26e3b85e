"use client";
import { useId } from "react";
import type { Quantity } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { describeRead, formatParts, parseQuantity } from "@/words/units";
import { FIELD_LOOK, FieldRow } from "./FieldRow";
import { useTyping } from "./useTyping";

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
};

/** A figure that can be typed: with any unit, fractions too; the arrow keys nudge it. */
export function NumberField(props: NumberFieldProps) {
  const { label, value, quantity, onCommit, clearable = false, help, step = 1 } = props;
  const units = useWorkbench((state) => state.units);
  const id = useId();
  const { figure, unit } = formatParts(value ?? 0, quantity, units);
  const { typed, refusal, type, onBlur, onKeyDown } = useTyping((text) => {
    if (clearable && text.trim() === "") return onCommit(null);
    const read = parseQuantity(text, quantity, units);
    return read.ok ? onCommit(read.value) : describeRead(read.reason, quantity, units);
  });
  const nudge = (by: number) => {
    if (onCommit((value ?? 0) + by) === null) type(null);
  };
  return (
    <FieldRow id={id} label={label} help={help} refusal={refusal}>
      <input
        id={id}
        autoComplete="off"
        value={typed ?? (value === null ? "" : figure)}
        aria-invalid={refusal !== null}
        aria-describedby={refusal ? `${id}-why` : undefined}
        onChange={(event) => type(event.target.value)}
        onBlur={onBlur}
        onKeyDown={(event) => {
          onKeyDown(event);
          if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
          event.preventDefault();
          nudge((event.key === "ArrowUp" ? 1 : -1) * step * (event.shiftKey ? 10 : 1));
        }}
        className={`figures w-[72px] text-right text-[16px] phone:w-28 ${FIELD_LOOK} ${refusal ? "border-b-2 border-signal" : ""}`}
      />
      <span className="figures min-w-5 shrink-0 text-[13px] text-faint desk:w-[42px]">{unit}</span>
    </FieldRow>
  );
}
