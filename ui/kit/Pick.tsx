"use client";
import { useId } from "react";

type PickProps<T extends string> = {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly name: string }[];
  readonly onPick: (value: T) => void;
};

/** One of a short list, in the platform's own list so that it works with a wet thumb. */
export function Pick<T extends string>({ label, value, options, onPick }: PickProps<T>) {
  const id = useId();
  return (
    <div className="flex min-h-8 items-center gap-2 phone:min-h-11">
      <label htmlFor={id} className="flex-1 text-[13px] text-faint phone:text-[15px]">
        {label}
      </label>
      <select
        id={id}
        value={value}
        onChange={(event) => onPick(event.target.value as T)}
        className="h-7 w-[168px] border-b border-edge bg-sheet hover:bg-pick px-1 text-[14px] phone:h-10 phone:text-[16px]"
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.name}
          </option>
        ))}
      </select>
    </div>
  );
}
