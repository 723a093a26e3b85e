"use client";
import { useMemo } from "react";
import { listSteps, orderSteps } from "@/core/build/steps";
import { listTrials } from "@/core/trials/proof";
import { useWorkbench } from "@/store/useWorkbench";
import { describeStep, tellStep } from "@/words/build";
import * as WORDS from "@/words/panels/trials/trialsMeasures";
import { describeFirstFilling, TRIAL_CAUTIONS } from "@/words/trials";
import { Group } from "../../fields/Group";
import { ToldTrade, Trade } from "../../glossary/Trade";
import { useRecords } from "../useRecords";
import { TrialRunFields } from "./TrialRunFields";

/** The trials this rig wants before it is closed up, in their order, and which are done. */
export function TrialsMeasures() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const done = useRecords((state) => state.build.done);
  const trials = useMemo(() => {
    const order = orderSteps(listSteps(design, evaluation));
    return order.ok ? listTrials(order.steps) : [];
  }, [design, evaluation]);
  return (
    <>
      <Group title={WORDS.trialsBeforeClosingUp}>
        {trials.length === 0 && (
          <p className="text-[13px] text-faint">
            <Trade>{WORDS.nothingToTryYet}</Trade>
          </p>
        )}
        <ol className="text-[13px] leading-snug">
          {trials.map((step) => {
            const on = done.find(({ stepId }) => stepId === step.id)?.on;
            return (
              <li key={step.id} className="border-t border-rule py-1">
                {describeStep(step, design)}
                <span className="block text-faint">
                  {tellStep(step, design).tools}. {on ? WORDS.doneOn(on) : WORDS.notDoneTickItUnder}
                </span>
              </li>
            );
          })}
        </ol>
      </Group>
      <TrialRunFields trials={trials} />
      <Group title={WORDS.firstFillingInThisOrder}>
        <ol className="list-decimal pl-5 text-[13px] leading-snug">
          {describeFirstFilling(design).map((step) => (
            <li key={step} className="py-0.5">
              <ToldTrade>{step}</ToldTrade>
            </li>
          ))}
        </ol>
      </Group>
      {TRIAL_CAUTIONS.map((caution) => (
        <p key={caution} className="px-3 py-1 text-[12px] leading-snug text-faint">
          {caution}
        </p>
      ))}
    </>
  );
}
