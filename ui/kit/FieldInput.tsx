"use client";
import { memo } from "react";
import { FIELD_LOOK } from "./FieldRow";
import type { TypingEvents } from "./useTyping";

type FieldInputProps = {
  readonly id: string;
  readonly value: string;
  readonly refused: boolean;
  /** Under it stands what it means. */
  readonly hasHelp?: boolean;
  readonly on: TypingEvents;
  readonly className: string;
};

/** The place to write. React sets every attribute of an input it draws again, so it is drawn again only when it must. */
export const FieldInput = memo(function FieldInput({
  id,
  value,
  refused,
  hasHelp = false,
  on,
  className,
}: FieldInputProps) {
  const told = [...(hasHelp ? [`${id}-help`] : []), ...(refused ? [`${id}-why`] : [])].join(" ");
  return (
    <input
      id={id}
      autoComplete="off"
      value={value}
      aria-invalid={refused}
      aria-describedby={told || undefined}
      className={`${className} ${FIELD_LOOK} ${refused ? "border-b-2 border-signal" : ""}`}
      {...on}
    />
  );
});
