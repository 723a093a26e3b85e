"use client";
import { type ChangeEvent, type KeyboardEvent, useMemo, useRef, useState } from "react";

type Typing = {
  /** What is being typed; null while the value stands as it is. */
  readonly typed: string | null;
  readonly refusal: string | null;
  /** The same object for the life of the field, so that its input is drawn again only when what it shows changes. */
  readonly on: TypingEvents;
};

export type TypingEvents = {
  readonly onChange: (event: ChangeEvent<HTMLInputElement>) => void;
  readonly onBlur: () => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void;
};

type Takes = {
  /** Takes over what was typed: null, or why not. */
  readonly take: (text: string) => string | null;
  /** Goes up or down by a step with the arrow keys; ten steps at a time with Shift. */
  readonly nudge?: (steps: number) => string | null;
  /** Told whether what stands in the field was refused. */
  readonly onRefusal?: (refusal: string | null) => void;
};

/** A field that takes over on Enter or on leaving it, and gives up on Escape. */
export function useTyping(takes: Takes): Typing {
  const [typed, setTyped] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const latest = useRef({ ...takes, typed });
  latest.current = { ...takes, typed };
  const on = useMemo((): TypingEvents => {
    // a refusal leaves the text in the field with the reason under it
    const commit = (text: string) => {
      const reason = latest.current.take(text);
      setRefusal(reason);
      latest.current.onRefusal?.(reason);
      if (reason === null) setTyped(null);
    };
    return {
      onChange: (event) => setTyped(event.target.value),
      onBlur: () => {
        if (latest.current.typed !== null) commit(latest.current.typed);
      },
      onKeyDown: (event) => {
        const { typed: text, nudge } = latest.current;
        const steps = event.key === "ArrowUp" ? 1 : event.key === "ArrowDown" ? -1 : 0;
        if (nudge && steps !== 0) {
          event.preventDefault();
          if (nudge(steps * (event.shiftKey ? 10 : 1)) === null) setTyped(null);
        }
        if (event.key === "Enter" && text !== null) commit(text);
        if (event.key !== "Escape" || text === null) return;
        event.stopPropagation();
        setTyped(null);
        setRefusal(null);
        latest.current.onRefusal?.(null);
      },
    };
  }, []);
  return { typed, refusal, on };
}
