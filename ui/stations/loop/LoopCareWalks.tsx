"use client";
import { useMemo } from "react";
import { listLoopCare } from "@/core/gear/loopCare";
import { useWorkbench } from "@/store/useWorkbench";
import { describeLoopCare } from "@/words/loopCare";
import * as WORDS from "@/words/panels/loop/loopCareWalks";
import { Group } from "../../fields/Group";
import { ToldTrade } from "../../glossary/Trade";

/** Filling the loop first, changing its filters, sanitising it: step by step with its own parts. */
export function LoopCareWalks() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const care = useMemo(() => listLoopCare(design), [design]);
  if (!care) return null;
  return (
    <Group title={WORDS.keepingIt}>
      {describeLoopCare(care, units).map(({ title, steps }) => (
        <details key={title} className="py-0.5">
          <summary className="min-h-7 cursor-pointer text-[13.5px] phone:min-h-11">{title}</summary>
          <ol className="list-decimal pl-6 text-[13px] leading-snug">
            {steps.map((step) => (
              <li key={step} className="py-0.5">
                <ToldTrade>{step}</ToldTrade>
              </li>
            ))}
          </ol>
        </details>
      ))}
    </Group>
  );
}
