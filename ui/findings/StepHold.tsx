"use client";
import { listSteps } from "@/core/build/steps";
import { listUnsettled, type Unsettled } from "@/core/build/unsettled";
import type { Design } from "@/core/design/design";
import type { Evaluation } from "@/core/evaluate/evaluation";
import { useWorkbench } from "@/store/useWorkbench";
import { SettleFirst } from "./SettleFirst";

/** What is to be settled before a step of the building, where its hole or its tank is worked on; nothing where nothing is. */
export function StepHold({ stepId }: { readonly stepId: string }) {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation);
  const against = evaluation ? recallUnsettled(design, evaluation).get(stepId) : undefined;
  return <SettleFirst findings={against ?? []} design={design} />;
}

// one for all the holes of a list
const known = new WeakMap<Evaluation, Unsettled>();

function recallUnsettled(design: Design, evaluation: Evaluation): Unsettled {
  const before = known.get(evaluation);
  if (before) return before;
  const unsettled = listUnsettled(design, listSteps(design, evaluation), evaluation.findings);
  known.set(evaluation, unsettled);
  return unsettled;
}
