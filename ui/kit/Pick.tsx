"use client";
import { useId } from "react";
import { FIELD_LOOK, FieldRow } from "./FieldRow";

type PickProps<T extends string> = {
  readonly label: string;
  readonly value: T;
  readonly names: Readonly<Record<T, string>>;
  /** In the order of the list; all of the names unless told. */
  readonly order?: readonly T[];
  readonly onPick: (value: T) => void;
  /** Its names are long: the list has a line of its own under the label. */
  readonly isWide?: boolean;
};

/** One of a short list, in the platform's own list so that it works with a wet thumb. */
export function Pick<T extends string>({ label, value, names, order, onPick, isWide = false }: PickProps<T>) {
  const id = useId();
  return (
    <FieldRow id={id} label={label} isStacked={isWide}>
      <select
        id={id}
        value={value}
        onChange={(event) => onPick(event.target.value as T)}
        className={`${isWide ? "w-full" : "w-[168px]"} text-[14px] ${FIELD_LOOK}`}
      >
        {(order ?? (Object.keys(names) as T[])).map((option) => (
          <option key={option} value={option}>
            {names[option]}
          </option>
        ))}
      </select>
    </FieldRow>
  );
}
