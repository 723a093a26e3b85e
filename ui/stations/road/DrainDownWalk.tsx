"use client";
import { useState } from "react";
import { listDrainDown } from "@/core/frost/drainDown";
import { useWorkbench } from "@/store/useWorkbench";
import { describeDrainDown } from "@/words/frost";
import { Button } from "../../kit/Button";

/** The rig emptied before frost, one step at a time in large letters: for a phone under the floor. */
export function DrainDownWalk() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation);
  const units = useWorkbench((state) => state.units);
  const [at, setAt] = useState<number | null>(null);
  if (!evaluation) return null;
  const steps = listDrainDown(design, evaluation);
  if (steps.length === 0) return null;
  const step = at === null ? null : steps[at];
  return (
    <section aria-label="Drain down before frost" className="mt-3 border-t-2 border-ink pt-3">
      <h3 className="plate text-[18px]">Before frost</h3>
      {at === null ? (
        <div className="flex flex-wrap items-center gap-3 pt-1">
          <p className="min-w-0 flex-1 basis-56 text-[14px]">
            {steps.length} steps, in the order they are done. What must come out is said in litres.
          </p>
          <Button look="plate" className="phone:min-h-14" onClick={() => setAt(0)}>
            Walk through it
          </Button>
        </div>
      ) : (
        <div data-testid="drain-walk">
          <p className="text-[13.5px] text-faint" aria-live="polite">
            {step ? `Step ${at + 1} of ${steps.length}` : "All steps done"}
          </p>
          <p className="py-3 text-[26px] leading-tight font-semibold phone:text-[30px]">
            {step ? describeDrainDown(step, design, units) : "Leave every valve half open, and write down the day."}
          </p>
          <div className="grid grid-cols-2 gap-3">
            <Button className="min-h-14 text-[18px]" onClick={() => setAt(at === 0 ? null : at - 1)}>
              Back
            </Button>
            <Button look="plate" className="min-h-14 text-[18px]" onClick={() => setAt(step ? at + 1 : null)}>
              {step ? "Done, next" : "Close"}
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
