"use client";
import type { Finding } from "@/core/evaluate/findings";
import { findWorking } from "@/core/workings/findWorking";
import { listWorkings } from "@/core/workings/listWorkings";
import { useWorkbench } from "@/store/useWorkbench";
import { FORMULA_WORDS } from "@/words/formulas";
import * as WORDS from "@/words/panels/findings/findingWorking";
import { describeLimitSource } from "@/words/sources";
import { Figure } from "../kit/Figure";

/** The sum a finding rests on, and where its limit comes from. */
export function FindingWorking({ finding }: { readonly finding: Finding }) {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const working = findWorking(finding, listWorkings(design, evaluation));
  return (
    <>
      {working && (
        <p className="mt-2 text-[13px]">
          <Figure working={working.id} label={FORMULA_WORDS[working.formula].title} className="text-[15px] underline">
            {WORDS.howItIsWorkedOut}
          </Figure>
        </p>
      )}
      {finding.limit && (
        <p className="mt-2 text-[12px] leading-snug text-faint">
          {WORDS.limit} {describeLimitSource(finding.limit)}.
        </p>
      )}
    </>
  );
}
