"use client";
import type { Design } from "@/core/design/design";
import type { Finding } from "@/core/evaluate/findings";
import { useWorkbench } from "@/store/useWorkbench";
import { describeUnsettled } from "@/words/unsettled";
import { SeverityMark } from "../kit/SeverityMark";
import { openFinding } from "./openFinding";

/** What is to be settled before a thing is bought, drilled or built; a press opens the first of it where it is settled. */
export function SettleFirst({ findings, design }: { readonly findings: readonly Finding[]; readonly design: Design }) {
  const units = useWorkbench((state) => state.units);
  const [first] = findings;
  if (!first) return null;
  return (
    <button
      type="button"
      className="flex min-h-6 gap-1.5 py-0.5 text-left text-[13.5px] leading-snug text-signal underline phone:min-h-11 phone:text-[16px]"
      onClick={() => openFinding(first, design)}
    >
      <SeverityMark severity="must" />
      {describeUnsettled(findings, design, units)}
    </button>
  );
}
