"use client";
import { useEffect, useRef, useState } from "react";
import type { Design } from "@/core/design/design";
import { workbench } from "@/store/workbench";
import type { Asked } from "@/workers/client";

/** A search in a worker as it stands; what was found holds for the design it was found for. */
export type Search<T> =
  | { readonly status: "none" | "failed" }
  | { readonly status: "searching"; readonly share: number }
  | { readonly status: "found"; readonly design: Design; readonly answer: T; readonly tookMs: number };

type Ask<T> = (design: Design, onProgress: (share: number) => void, signal: AbortSignal) => Promise<Asked<T>>;

/**
 * Asks a worker about the open design, with progress; asked again, stopped or left, the one before is called off. What is to be
 * done at once with what is found is done in the design it was found for; where that was changed meanwhile, it is looked for anew.
 */
export function useSearch<T>(
  ask: Ask<T>,
  onFound?: (answer: T) => void,
): {
  readonly search: Search<T>;
  readonly look: () => Promise<void>;
  readonly stop: () => void;
} {
  const [search, setSearch] = useState<Search<T>>({ status: "none" });
  const running = useRef<AbortController | null>(null);
  // what is done at once is done, too, when the hand has gone on to another station
  const goesOn = onFound !== undefined;
  useEffect(() => (goesOn ? undefined : () => running.current?.abort()), [goesOn]);
  const look = async () => {
    running.current?.abort();
    const abort = new AbortController();
    running.current = abort;
    setSearch({ status: "searching", share: 0 });
    const design = workbench.getState().history!.design;
    // progress comes by another way than the answer, and may come after it
    let isAnswered = false;
    const onProgress = (share: number) => {
      if (!isAnswered && running.current === abort) setSearch({ status: "searching", share });
    };
    const asked = await ask(design, onProgress, abort.signal);
    isAnswered = true;
    if (running.current !== abort) return;
    if (asked.status === "ready") {
      setSearch({ status: "found", design, answer: asked.answer, tookMs: asked.tookMs });
      const now = workbench.getState().history?.design;
      if (now === design) onFound?.(asked.answer);
      // changed meanwhile: it is looked for again in what is there now, so that no press comes to nothing
      else if (goesOn && now?.id === design.id) await look();
    } else setSearch({ status: asked.status === "failed" ? "failed" : "none" });
  };
  return { search, look, stop: () => running.current?.abort() };
}
