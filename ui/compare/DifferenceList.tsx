"use client";
import { useState } from "react";
import { buildTakeOver, type Difference, toDifferenceKey } from "@/core/compare/differences";
import type { Design } from "@/core/design/design";
import { change, tell, undo } from "@/store/workbench";
import { describeDifference } from "@/words/compare";
import { describeFault } from "@/words/faults";
import * as WORDS from "@/words/panels/compare/differenceList";
import { Trade } from "../glossary/Trade";
import { Button } from "../kit/Button";

type DifferenceListProps = {
  readonly here: Design;
  readonly there: Design;
  readonly differences: readonly Difference[];
};

/** Where two designs differ, each difference taken over by one press. */
export function DifferenceList({ here, there, differences }: DifferenceListProps) {
  const [refusal, setRefusal] = useState<{ readonly key: string; readonly text: string } | null>(null);
  const take = (difference: Difference) => {
    const edit = buildTakeOver(here, there, difference);
    if (!edit) return;
    const outcome = change(edit);
    const fault = outcome.ok ? null : outcome.faults[0];
    const text = fault ? describeFault(fault) : WORDS.thatIsNotPossibleHere;
    setRefusal(outcome.ok ? null : { key: toDifferenceKey(difference), text: WORDS.copyWhatItBelongsTo(text) });
    if (outcome.ok)
      tell(WORDS.isCopiedHere(describeDifference(difference).name), { action: { label: WORDS.undo, run: undo } });
  };
  return (
    <>
      <h3 className="plate mt-5 mb-1 text-[17px]">{WORDS.whereTheyDiffer}</h3>
      {differences.length === 0 && (
        <p className="text-faint">
          <Trade>{WORDS.nowhereRigPartsGearHabits}</Trade>
        </p>
      )}
      <ul>
        {differences.map((difference) => {
          const { name, how } = describeDifference(difference);
          const key = toDifferenceKey(difference);
          const canTake = difference.of !== "part" || difference.how !== "onlyHere";
          return (
            <li key={key} className="border-b border-rule py-0.5 text-[14px]">
              <div className="flex min-h-9 items-center gap-3">
                <span className="min-w-0 flex-1 leading-snug">
                  {name} <span className="text-faint">{how}</span>
                </span>
                {canTake && <Button onClick={() => take(difference)}>{WORDS.copyItHere}</Button>}
              </div>
              {refusal?.key === key && (
                <p role="alert" className="pb-1 text-[13px] text-signal">
                  {refusal.text}
                </p>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
