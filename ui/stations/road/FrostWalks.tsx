"use client";
import { useEffect, useRef, useState } from "react";
import { listDrainDown } from "@/core/frost/drainDown";
import { listSpringUp } from "@/core/frost/springUp";
import { useWorkbench } from "@/store/useWorkbench";
import { describeDrainDown, describeSpringStep } from "@/words/frost";
import * as WORDS from "@/words/panels/road/frostWalks";
import { Button } from "../../kit/Button";
import { add } from "./NowStage";

/** The rig emptied before frost, and brought back after it, one step at a time in large letters: for a phone under the floor. */
export function FrostWalks() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation);
  const units = useWorkbench((state) => state.units);
  if (!evaluation) return null;
  const down = listDrainDown(design, evaluation).map((step) => describeDrainDown(step, design, units));
  const up = listSpringUp(design, evaluation).map((step) => describeSpringStep(step, design, units));
  if (down.length === 0) return null;
  return (
    <>
      <Walk
        title={WORDS.beforeFrost}
        label={WORDS.drainDownBeforeFrost}
        text={WORDS.inTheOrderTheyAre}
        steps={down}
        last={WORDS.leaveHalfOpen}
        noted={WORDS.emptiedBeforeFrost}
        testId="drain-walk"
      />
      <Walk
        title={WORDS.afterFrost}
        label={WORDS.bringBackAfterFrost}
        text={WORDS.closedSanitisedTrapsFilledAnd}
        steps={up}
        last={WORDS.mayBeUsedAgain}
        noted={WORDS.broughtBackAfterFrost}
        testId="spring-walk"
      />
    </>
  );
}

type WalkProps = {
  readonly title: string;
  readonly label: string;
  readonly text: string;
  readonly steps: readonly string[];
  readonly last: string;
  /** What goes into the logbook when it is done. */
  readonly noted: string;
  readonly testId: string;
};

function Walk({ title, label, text, steps, last, noted, testId }: WalkProps) {
  const [at, setAt] = useState<number | null>(null);
  const step = at === null ? null : steps[at];
  const section = useRef<HTMLElement>(null);
  // what is walked is in sight, with its buttons
  useEffect(() => {
    if (at !== null) section.current?.scrollIntoView({ block: "nearest" });
  }, [at]);
  const finish = () => {
    add({ kind: "care", storeId: null, amount: null, note: noted });
    setAt(null);
  };
  return (
    <section ref={section} aria-label={label} className="mt-3 border-t-2 border-ink pt-3">
      <h3 className="plate text-[18px]">{title}</h3>
      {at === null ? (
        <div className="flex flex-wrap items-center gap-3 pt-1">
          <p className="min-w-0 flex-1 basis-56 text-[14px]">
            {steps.length} {steps.length === 1 ? WORDS.step : WORDS.steps}, {text}
          </p>
          <Button
            look="plate"
            className="phone:min-h-14"
            aria-label={WORDS.walkThroughIt(title)}
            onClick={() => setAt(0)}
          >
            {WORDS.walkThroughIt2}
          </Button>
        </div>
      ) : (
        <div data-testid={testId}>
          <p className="text-[13.5px] text-faint" aria-live="polite">
            {step ? WORDS.stepOf(at + 1, steps.length) : WORDS.allStepsDone}
          </p>
          <p className="py-3 text-[26px] leading-tight font-semibold phone:text-[30px]">{step ?? last}</p>
          <div className="grid grid-cols-2 gap-3">
            <Button className="min-h-14 text-[18px]" onClick={() => setAt(at === 0 ? null : at - 1)}>
              {WORDS.back}
            </Button>
            <Button look="plate" className="min-h-14 text-[18px]" onClick={() => (step ? setAt(at + 1) : finish())}>
              {step ? WORDS.doneNext : WORDS.writeItDown}
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
