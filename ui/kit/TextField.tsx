"use client";
import { useId } from "react";
import { FieldInput } from "./FieldInput";
import { FieldRow } from "./FieldRow";
import { useTyping } from "./useTyping";

type TextFieldProps = {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (value: string) => string | null;
};

/** A name that can be typed over. */
export function TextField({ label, value, onCommit }: TextFieldProps) {
  const id = useId();
  const { typed, refusal, on } = useTyping({ take: (text) => (text === value ? null : onCommit(text)) });
  return (
    <FieldRow id={id} label={label} refusal={refusal}>
      <FieldInput id={id} value={typed ?? value} refused={refusal !== null} on={on} className="w-[168px] text-[14px]" />
    </FieldRow>
  );
}
