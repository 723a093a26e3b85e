"use client";
import { type KeyboardEvent, useState } from "react";

type Typing = {
  /** What is being typed; null while the value stands as it is. */
  readonly typed: string | null;
  readonly refusal: string | null;
  readonly type: (text: string | null) => void;
  readonly onBlur: () => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void;
};

/** A field that takes over on Enter or on leaving it, and gives up on Escape. `take` answers null or why not. */
export function useTyping(take: (text: string) => string | null): Typing {
  const [typed, setTyped] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  // a refusal leaves the text in the field with the reason under it
  const commit = (text: string) => {
    const reason = take(text);
    setRefusal(reason);
    if (reason === null) setTyped(null);
  };
  return {
    typed,
    refusal,
    type: setTyped,
    onBlur: () => {
      if (typed !== null) commit(typed);
    },
    onKeyDown: (event) => {
      if (event.key === "Enter" && typed !== null) commit(typed);
      if (event.key !== "Escape" || typed === null) return;
      event.stopPropagation();
      setTyped(null);
      setRefusal(null);
    },
  };
}
