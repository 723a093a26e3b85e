"use client";
import { useMemo } from "react";
import { listSteps } from "@/core/build/steps";
import { listUnsettled } from "@/core/build/unsettled";
import { useWorkbench } from "@/store/useWorkbench";
import { SettleFirst } from "./SettleFirst";

/** What is to be settled before a step of the building, where its hole or its tank is worked on; nothing where nothing is. */
export function StepHold({ stepId }: { readonly stepId: string }) {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation);
  const against = useMemo(() => {
    if (!evaluation) return [];
    return listUnsettled(design, listSteps(design, evaluation), evaluation.findings).get(stepId) ?? [];
  }, [design, evaluation, stepId]);
  return <SettleFirst findings={against} design={design} />;
}
