"use client";
import { buildInsertValve } from "@/core/edits/insertPiece";
import type { Halving } from "@/core/trials/halving";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/trials/proposedValve";
import { formatNumber } from "@/words/units";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";

/** A change of design that would part the search: a stop valve in the hose that halves what is suspected. */
export function ProposedValve({ halving: { hoseId, behindShare } }: { readonly halving: Halving }) {
  const name = useWorkbench((state) => state.history!.design.lines.find(({ id }) => id === hoseId)?.name ?? hoseId);
  const { apply } = useEdits();
  const put = () => {
    const edit = buildInsertValve(workbench.getState().history!.design, hoseId, WORDS.stopValveIn(name));
    if (edit) apply(edit);
  };
  return (
    <div className="flex flex-wrap items-center gap-2 py-1 text-[13px]" data-testid="halving">
      <span className="leading-snug">
        {WORDS.aStopValveIn} {name} {WORDS.wouldPartTheSearch} {formatNumber(behindShare * 100, 0)}{" "}
        {WORDS.ofItLiesBehind}
      </span>
      <Button onClick={put}>{WORDS.putOneIn}</Button>
    </div>
  );
}
