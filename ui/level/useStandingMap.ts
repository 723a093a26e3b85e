"use client";
import { useCallback, useEffect, useState } from "react";
import type { Design } from "@/core/design/design";
import type { StandingMap } from "@/core/evaluate/standingMap";
import { useWorkbench } from "@/store/useWorkbench";
import { useSettled } from "../kit/useSettled";

export const MAP_SIZE = 61;

/** Edits settle before the map is asked for again. */
const SETTLE_MS = 120;

export type MapState = {
  readonly status: "idle" | "computing" | "ready" | "cancelled" | "failed";
  /** The last map computed; it stays in view while the next one is on its way. */
  readonly map: StandingMap | null;
  readonly progress: number;
  readonly tookMs: number | null;
};

const IDLE: MapState = { status: "idle", map: null, progress: 0, tookMs: null };

/** The standing map of the open design, computed in the worker after every edit; it can be stopped and asked for again. */
export function useStandingMap(
  rangeDeg: number,
): MapState & { readonly cancel: () => void; readonly retry: () => void } {
  const design = useWorkbench((state) => (state.dragBase ? state.dragBase : state.history?.design));
  const [state, setState] = useState<MapState>(IDLE);
  const [stop, setStop] = useState<AbortController | null>(null);
  const [turn, setTurn] = useState(0);
  const isSettled = useSettled();
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new turn asks again for the same design
  useEffect(() => {
    if (!design || !isSettled) return;
    const controller = new AbortController();
    setStop(controller);
    const timer = setTimeout(() => void compute(design, rangeDeg, controller.signal, setState), SETTLE_MS);
    return () => {
      clearTimeout(timer);
      controller.abort();
    };
  }, [design, rangeDeg, turn, isSettled]);
  return {
    ...state,
    cancel: useCallback(() => {
      stop?.abort();
      setState((before) => ({ ...before, status: "cancelled" }));
    }, [stop]),
    retry: useCallback(() => setTurn((n) => n + 1), []),
  };
}

async function compute(
  design: Design,
  rangeDeg: number,
  signal: AbortSignal,
  setState: (update: (before: MapState) => MapState) => void,
): Promise<void> {
  setState((before) => ({ ...before, status: "computing", progress: 0 }));
  const onProgress = (progress: number) => {
    if (!signal.aborted) setState((before) => (before.status === "computing" ? { ...before, progress } : before));
  };
  // the worker and what speaks to it come when the first map is wanted, not with the page
  const outcome = await import("@/workers/client")
    .then(({ ask }) => ask("standingMap", { design, size: MAP_SIZE, rangeDeg }, { onProgress, signal }))
    .catch(() => ({ status: "failed" }) as const);
  if (signal.aborted) return;
  setState((before) =>
    outcome.status === "ready"
      ? { status: "ready", map: outcome.answer, progress: 1, tookMs: outcome.tookMs }
      : { ...before, status: outcome.status },
  );
}
