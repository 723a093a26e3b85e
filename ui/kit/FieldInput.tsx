"use client";
import { memo } from "react";
import { FIELD_LOOK } from "./FieldRow";
import type { TypingEvents } from "./useTyping";

type FieldInputProps = {
  readonly id: string;
  readonly value: string;
  readonly refused: boolean;
  readonly on: TypingEvents;
  readonly className: string;
};

/** The place to write. React sets every attribute of an input it draws again, so it is drawn again only when it must. */
export const FieldInput = memo(function FieldInput({ id, value, refused, on, className }: FieldInputProps) {
  return (
    <input
      id={id}
      autoComplete="off"
      value={value}
      aria-invalid={refused}
      aria-describedby={refused ? `${id}-why` : undefined}
      className={`${className} ${FIELD_LOOK} ${refused ? "border-b-2 border-signal" : ""}`}
      {...on}
    />
  );
});
