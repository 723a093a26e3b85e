"use client";
import { Plus } from "lucide-react";
import * as WORDS from "@/words/panels/kit/addOne";
import { FIELD_LOOK } from "./FieldRow";

type AddOneProps<T extends string> = {
  readonly label: string;
  readonly names: Readonly<Record<T, string>>;
  readonly order: readonly T[];
  readonly onAdd: (kind: T) => void;
};

/** Adds one of several kinds to a list, from the platform's own list. */
export function AddOne<T extends string>({ label, names, order, onAdd }: AddOneProps<T>) {
  return (
    <span className="flex items-center gap-1">
      <Plus size={14} aria-hidden />
      <select
        aria-label={label}
        value=""
        onChange={(event) => onAdd(event.target.value as T)}
        className={`w-[120px] text-[13px] ${FIELD_LOOK}`}
      >
        <option value="" disabled>
          {WORDS.add}
        </option>
        {order.map((kind) => (
          <option key={kind} value={kind}>
            {names[kind]}
          </option>
        ))}
      </select>
    </span>
  );
}
