"use client";
import { useId, useState } from "react";

type TextFieldProps = {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (value: string) => string | null;
};

/** A name that can be typed over. */
export function TextField({ label, value, onCommit }: TextFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const commit = () => {
    if (typed === null) return;
    const reason = typed === value ? null : onCommit(typed);
    setRefusal(reason);
    if (reason === null) setTyped(null);
  };
  return (
    <div>
      <div className="flex min-h-8 items-center gap-2 phone:min-h-11">
        <label htmlFor={id} className="flex-1 text-[13px] text-faint phone:text-[15px]">
          {label}
        </label>
        <input
          id={id}
          autoComplete="off"
          value={typed ?? value}
          aria-invalid={refusal !== null}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === "Enter") commit();
            if (event.key === "Escape") setTyped(null);
          }}
          className="h-7 w-[168px] border-b border-edge bg-sheet hover:bg-pick px-1.5 text-[14px] phone:h-10 phone:text-[16px]"
        />
      </div>
      {refusal && (
        <p role="alert" className="pb-1 text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </div>
  );
}
