"use client";
import { useRef } from "react";
import type { Edit } from "@/core/design/editOps";
import type { Fitted, Wanted } from "@/core/routes/fitWanted";
import { ask } from "@/workers/client";
import { type Search, useSearch } from "../kit/useSearch";
import { useEdits } from "./useEdits";

/** What came of it: a sentence where the edit was refused, the edit, and what does not fit into its cabinet. */
type Then = (refusal: string | null, edit: Edit, lacks: Fitted["lacks"]) => void;

/** Has a worker fit what is wanted, with all that belongs to it, where that brings the least to settle: one undoable step. */
export function useFit(): {
  readonly search: Search<Fitted>;
  readonly stop: () => void;
  readonly fitWhole: (wanted: Wanted, then?: Then) => Promise<void>;
} {
  const { apply } = useEdits();
  const asked = useRef<{ readonly wanted: Wanted; readonly then: Then | undefined } | null>(null);
  const { search, look, stop } = useSearch<Fitted>(
    (design, onProgress, signal) => ask("fit", { design, wanted: asked.current!.wanted }, { onProgress, signal }),
    ({ edit, lacks }) => {
      if (!edit) return;
      const refusal = apply(edit);
      asked.current?.then?.(refusal, edit, lacks);
    },
  );
  const fitWhole = (wanted: Wanted, then?: Then) => {
    asked.current = { wanted, then };
    return look();
  };
  return { search, stop, fitWhole };
}
