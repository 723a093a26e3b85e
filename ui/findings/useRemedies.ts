"use client";
import { useEffect, useState } from "react";
import type { Design } from "@/core/design/design";
import type { ProvenRemedy } from "@/core/remedies/remedy";
import { useWorkbench } from "@/store/useWorkbench";
import { ask } from "@/workers/client";

/** A tilt is at rest when nothing came for so long, ms. */
const RESTS_MS = 40;

type Sought = {
  readonly status: "ready" | "failed";
  readonly design: Design;
  readonly findingId: string;
  readonly remedies: readonly ProvenRemedy[];
};

/** What settles a finding, tried in the worker: each try judges the whole design once. Null while it is looked for. */
export function useRemedies(findingId: string): Pick<Sought, "status" | "remedies"> | null {
  const design = useWorkbench((state) => state.dragBase ?? state.history?.design ?? null);
  const pitchDeg = useWorkbench((state) => state.evaluation?.attitude.pitchDeg ?? 0);
  const rollDeg = useWorkbench((state) => state.evaluation?.attitude.rollDeg ?? 0);
  const [sought, setSought] = useState<Sought | null>(null);
  useEffect(() => {
    if (!design) return;
    const controller = new AbortController();
    const given = { design, attitude: { pitchDeg, rollDeg }, findingId };
    // a tilt that goes on asks once it rests
    const timer = setTimeout(async () => {
      const asked = await ask("remedies", given, controller);
      if (asked.status === "ready") setSought({ status: "ready", design, findingId, remedies: asked.answer });
      else if (asked.status === "failed") setSought({ status: "failed", design, findingId, remedies: [] });
    }, RESTS_MS);
    return () => {
      clearTimeout(timer);
      controller.abort();
    };
  }, [design, pitchDeg, rollDeg, findingId]);
  // what was found before a tilt holds on until the next comes in; another design or finding has its own
  return sought?.design === design && sought?.findingId === findingId ? sought : null;
}
