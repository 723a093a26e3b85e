"use client";
import { useMemo } from "react";
import { type BuildStep, listOpenSteps, listSteps, orderSteps } from "@/core/build/steps";
import type { Design } from "@/core/design/design";
import type { Movable } from "@/core/design/moves";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tell } from "@/store/workbench";
import { describeStep, STEP_WORDS } from "@/words/build";
import { formatNumber } from "@/words/units";
import { today } from "../now";
import { StageHeader } from "../StageHeader";
import { useRecords } from "../useRecords";

/** What can be done now, what waits for it, and what is done; ticked with a thumb. */
export function BuildStage() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const doneList = useRecords((state) => state.build.done);
  const phase = useRecords((state) => state.phase);
  const order = useMemo(() => orderSteps(listSteps(design, evaluation)), [design, evaluation]);
  if (!order.ok) {
    return (
      <section aria-label="The building" className="flex flex-1 items-center justify-center bg-sheet p-8">
        <p role="alert">
          These steps need each other: {order.circle.join(", ")}. Change the design so that one can come first.
        </p>
      </section>
    );
  }
  const done = new Set(doneList.map(({ stepId }) => stepId));
  const open = listOpenSteps(order.steps, done);
  const waiting = order.steps.filter((step) => !done.has(step.id) && !open.includes(step));
  const finished = order.steps.filter((step) => done.has(step.id));
  const hoursLeft = [...open, ...waiting].reduce((sum, { hours }) => sum + hours, 0);
  return (
    <section aria-label="The building" className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title="Build"
        text={
          order.steps.length === 0
            ? "Nothing to build yet: draw a tank and a drain first."
            : `${finished.length} of ${order.steps.length} steps done; some ${formatNumber(hoursLeft, 0)} hours left.`
        }
      />
      {phase === "failed" && (
        <p role="alert" className="px-3 py-2 text-signal">
          What is done cannot be kept in this browser. Reload the page; if it happens again, write it down.
        </p>
      )}
      <div
        className="min-h-0 flex-1 overflow-y-auto px-3 pb-3"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
        tabIndex={0}
        role="group"
        aria-label="Steps"
      >
        <Steps title="Now" steps={open} design={design} isDone={false} />
        <Steps title="Waits for that" steps={waiting} design={design} isDone={null} />
        <Steps title="Done" steps={finished} design={design} isDone />
      </div>
    </section>
  );
}

type StepsProps = {
  readonly title: string;
  readonly steps: readonly BuildStep[];
  readonly design: Design;
  /** Null where it cannot be ticked yet. */
  readonly isDone: boolean | null;
};

function Steps({ title, steps, design, isDone }: StepsProps) {
  if (steps.length === 0) return null;
  return (
    <>
      <h3 className="plate pt-3 pb-1 text-[17px]">{title}</h3>
      <ul aria-label={title}>
        {steps.map((step) => {
          const { tools, caution } = STEP_WORDS[step.kind];
          const name = describeStep(step, design);
          return (
            <li
              key={step.id}
              className={`flex gap-3 border-t border-rule py-1.5 ${isDone === null ? "text-faint" : ""}`}
            >
              <input
                type="checkbox"
                aria-label={name}
                checked={isDone === true}
                disabled={isDone === null}
                onChange={(event) => tick(step.id, event.target.checked)}
                className="mt-0.5 size-6 shrink-0 accent-enamel phone:size-9"
              />
              <button type="button" className="flex-1 text-left" onClick={() => show(step)}>
                <span className={`block text-[15px] leading-snug phone:text-[18px] ${isDone ? "line-through" : ""}`}>
                  {name}
                </span>
                {isDone === false && (
                  <span className="block text-[12.5px] leading-snug text-faint">
                    {tools}; about {formatNumber(step.hours, 1)} h.
                    {caution && <strong className="text-warn"> {caution}</strong>}
                  </span>
                )}
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}

function tick(stepId: string, isDone: boolean): void {
  records.tickStep(stepId, isDone ? today() : null).catch(() => {
    tell("That could not be kept in this browser.", { tone: "warning" });
  });
}

// The part lights up in the drawings.
function show({ at }: BuildStep): void {
  const part: Movable | null =
    at.kind === "tank" || at.kind === "gear" || at.kind === "fixture" ? at : at.kind === "line" ? at : null;
  look({ selection: part });
}
