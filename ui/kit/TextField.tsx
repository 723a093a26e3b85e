"use client";
import { useId } from "react";
import { FIELD_LOOK, FieldRow } from "./FieldRow";
import { useTyping } from "./useTyping";

type TextFieldProps = {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (value: string) => string | null;
};

/** A name that can be typed over. */
export function TextField({ label, value, onCommit }: TextFieldProps) {
  const id = useId();
  const { typed, refusal, type, onBlur, onKeyDown } = useTyping((text) => (text === value ? null : onCommit(text)));
  return (
    <FieldRow id={id} label={label} refusal={refusal}>
      <input
        id={id}
        autoComplete="off"
        value={typed ?? value}
        aria-invalid={refusal !== null}
        onChange={(event) => type(event.target.value)}
        onBlur={onBlur}
        onKeyDown={onKeyDown}
        className={`w-[168px] text-[14px] ${FIELD_LOOK}`}
      />
    </FieldRow>
  );
}
