"use client";
import { useState } from "react";
import type { Finding } from "@/core/evaluate/findings";
import { type AlikeRemedy, buildMendAlike } from "@/core/remedies/mendAlike";
import { useWorkbench } from "@/store/useWorkbench";
import { change, view as look, previewEdit, tell, undo, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/findings/mendAlike";
import { describeRemedy } from "@/words/remedies";
import { Button } from "../kit/Button";

/** One step for several findings of a kind: looked for when it is asked for, drawn before it is done. */
export function MendAlike({ alike }: { readonly alike: readonly Finding[] }) {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const preview = useWorkbench((state) => state.preview);
  const [found, setFound] = useState<AlikeRemedy | "none" | null>(null);
  const find = () => {
    const { history, evaluation } = workbench.getState();
    const remedy =
      history && evaluation
        ? buildMendAlike(
            history.design,
            evaluation,
            alike.map(({ id }) => id),
          )
        : null;
    setFound(remedy ?? "none");
    previewEdit(remedy?.edit ?? null);
  };
  if (found === "none") {
    return <p className="px-3 py-1.5 text-[13px] text-faint">{WORDS.theyHaveNoRemedyIn}</p>;
  }
  if (!found || preview?.edit !== found.edit) {
    return (
      <div className="px-3 py-1.5">
        <Button onClick={find}>{WORDS.settleThemTogether}</Button>
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
