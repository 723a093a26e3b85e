"use client";
import type { Attitude } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import { computePour, type Pour, type PourFrame } from "@/core/pour/pour";
import { listUsable, toUse } from "@/core/pour/usualUses";
import { ALL_AT_ONCE } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";

let last: { readonly design: Design; readonly attitude: Attitude; readonly of: string; readonly pour: Pour } | null =
  null;

/** The uses that are poured: one fixture's, or all of them at once. */
export function listUses(design: Design, of: string) {
  const usable = listUsable(design);
  return (of === ALL_AT_ONCE ? usable : usable.filter(({ id }) => id === of)).map(toUse);
}

// Bar and drawing ask for the same one; it is worked out once.
function pourOnce(design: Design, attitude: Attitude, of: string): Pour {
  if (last?.design !== design || last.attitude !== attitude || last.of !== of) {
    last = { design, attitude, of, pour: computePour(design, attitude, listUses(design, of)) };
  }
  return last.pour;
}

type Poured = { readonly design: Design; readonly of: string; readonly pour: Pour; readonly second: number };

/** The water in motion as it is shown; while something is pulled it is that of the design before. */
export function usePour(): Poured | null {
  const shown = useWorkbench((state) => state.pour);
  const design = useWorkbench((state) => state.dragBase ?? state.history?.design);
  const attitude = useWorkbench((state) => state.attitude);
  if (!shown || !design || listUses(design, shown.of).length === 0) return null;
  const pour = pourOnce(design, attitude, shown.of);
  return { design, of: shown.of, pour, second: Math.min(shown.second, pour.frames.at(-1)!.second) };
}

/** The frame that is nearest to a second. */
export function findFrame({ frames }: Pour, second: number): PourFrame {
  const step = frames[1] ? frames[1].second - frames[0]!.second : 1;
  return frames[Math.max(0, Math.min(frames.length - 1, Math.round(second / step)))]!;
}
