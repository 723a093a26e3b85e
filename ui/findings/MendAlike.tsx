"use client";
import { useEffect, useRef, useState } from "react";
import type { Finding } from "@/core/evaluate/findings";
import type { AlikeRemedy } from "@/core/remedies/mendAlike";
import { useWorkbench } from "@/store/useWorkbench";
import { change, view as look, previewEdit, tell, undo, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/findings/mendAlike";
import { describeRemedy } from "@/words/remedies";
import { ask } from "@/workers/client";
import { Button } from "../kit/Button";

/** One step for several findings of a kind: looked for when it is asked for, drawn before it is done. */
export function MendAlike({ alike }: { readonly alike: readonly Finding[] }) {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const preview = useWorkbench((state) => state.preview);
  const [found, setFound] = useState<AlikeRemedy | "none" | "failed" | null>(null);
  const running = useRef<AbortController | null>(null);
  const [isLooking, setIsLooking] = useState(false);
  useEffect(() => () => running.current?.abort(), []);
  const find = async () => {
    const { history, evaluation } = workbench.getState();
    if (!history || !evaluation) return;
    const controller = new AbortController();
    running.current = controller;
    setIsLooking(true);
    const { attitude } = evaluation;
    const given = { design: history.design, attitude, ids: alike.map(({ id }) => id) };
    const asked = await ask("mendAlike", given, { signal: controller.signal });
    if (controller.signal.aborted) return;
    setIsLooking(false);
    // what came in for a design that is no longer open is of no use
    if (workbench.getState().history?.design !== history.design) return;
    const remedy = asked.status === "ready" ? asked.answer.remedy : null;
    setFound(remedy ?? (asked.status === "ready" ? "none" : "failed"));
    previewEdit(remedy?.edit ?? null);
  };
  if (found === "none" || found === "failed") {
    return (
      <p className="px-3 py-1.5 text-[13px] text-faint">
        {found === "none" ? WORDS.theyHaveNoRemedyIn : WORDS.couldNotBeWorkedOut}
      </p>
    );
  }
  if (!found || preview?.edit !== found.edit) {
    return (
      <div className="px-3 py-1.5">
        <Button onClick={() => void find()} disabled={isLooking}>
          {isLooking ? WORDS.lookingForWhatHelps : WORDS.settleThemTogether}
        </Button>
      </div>
    );
  }
  const take = () => {
    if (!change(found.edit).ok) return;
    look({ findingId: null });
    tell(WORDS.doneInPlaces(found.settled), { action: { label: WORDS.undo, run: undo } });
  };
  return (
    <div className="px-3 py-1.5">
      <p className="text-[13.5px]">
        {describeRemedy({ ...found.first, edit: found.edit }, design, units)}
        {WORDS.andTheLikeIn} {found.settled - 1} {WORDS.otherPlaces}
        {found.settled < alike.length ? WORDS.stayAsTheyAre(alike.length - found.settled) : ""}.
      </p>
      <div className="mt-1.5 flex gap-1.5">
        <Button look="plate" onClick={take}>
          {WORDS.doIt}
        </Button>
        <Button onClick={() => previewEdit(null)}>{WORDS.cancel}</Button>
      </div>
    </div>
  );
}
