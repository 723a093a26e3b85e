"use client";
import { useId } from "react";
import type { PartRef } from "@/core/design/part";
import type { Quantity } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { describeRead, formatParts, parseQuantity } from "@/words/units";
import { FieldInput } from "./FieldInput";
import { FieldRow } from "./FieldRow";
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
  readonly onRefusal?: (refusal: string | null) => void;
  /** What it measures, where the stage shows it by itself. */
  readonly part?: PartRef;
};

/** A figure that can be typed: with any unit, fractions too; the arrow keys nudge it. */
export function NumberField(props: NumberFieldProps) {
  const { label, value, quantity, onCommit, clearable = false, help, step = 1, onRefusal, part } = props;
  const units = useWorkbench((state) => state.units);
  const id = useId();
  const { figure, unit } = formatParts(value ?? 0, quantity, units);
  const { typed, refusal, on } = useTyping({
    take: (text) => {
      if (clearable && text.trim() === "") return onCommit(null);
      const read = parseQuantity(text, quantity, units);
      return read.ok ? onCommit(read.value) : describeRead(read.reason, quantity, units);
    },
    ...(onRefusal ? { onRefusal } : {}),
    nudge: (steps) => onCommit((value ?? 0) + steps * step),
  });
  return (
    <FieldRow id={id} label={label} help={help} refusal={refusal} part={part}>
      <FieldInput
        id={id}
        value={typed ?? (value === null ? "" : figure)}
        refused={refusal !== null}
        hasHelp={Boolean(help)}
        on={on}
        className="figures w-[72px] text-right text-[16px] phone:w-28"
      />
      <span className="figures min-w-9 shrink-0 text-[13px] text-faint desk:w-[42px]">{unit}</span>
    </FieldRow>
  );
}
