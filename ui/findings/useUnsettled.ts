import { useMemo } from "react";
import { listSteps } from "@/core/build/steps";
import { listUnsettled, type Unsettled } from "@/core/build/unsettled";
import { useWorkbench } from "@/store/useWorkbench";

/** What is to be settled before which step of the design that is open. */
export function useUnsettled(): Unsettled {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation);
  return useMemo(
    () =>
      evaluation ? listUnsettled(design, listSteps(design, evaluation), evaluation.findings) : (new Map() as Unsettled),
    [design, evaluation],
  );
}
