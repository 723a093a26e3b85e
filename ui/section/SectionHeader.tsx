"use client";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/section/sectionHeader";
import { describeVerdict } from "@/words/verdict";
import { findShownDrain, findShownResult } from "../drawing/shown";

/** Which drain it is, and in one line whether it may be built so. */
export function SectionHeader() {
  const design = useWorkbench((state) => state.history?.design);
  const drainId = useWorkbench((state) => state.drainId);
  const evaluation = useWorkbench((state) => state.evaluation);
  const result = useWorkbench(findShownResult);
  const units = useWorkbench((state) => state.units);
  if (!design || !evaluation || !result) return null;
  const drain = findShownDrain(design, drainId)!;
  const drains = design.lines.filter((line) => line.kind === "drain");
  const verdict = describeVerdict(design, evaluation, result, units);
  return (
    <header className="flex items-baseline gap-3 border-b border-rule bg-sheet px-3 py-2">
      {drains.length > 1 ? (
        <select
          aria-label={WORDS.drainShown}
          value={drain.id}
          onChange={(event) => look({ drainId: event.target.value })}
          className="plate border border-edge bg-sheet text-[18px]"
        >
          {drains.map((line) => (
            <option key={line.id} value={line.id}>
              {line.name}
            </option>
          ))}
        </select>
      ) : (
        <h2 className="plate shrink-0 text-[19px] leading-tight">{drain.name}</h2>
      )}
      <p
        data-testid="verdict"
        className={`min-w-0 text-[14px] leading-snug ${verdict.tone === "must" ? "font-semibold text-signal" : verdict.tone === "should" ? "text-warn" : ""}`}
      >
        {verdict.text}
      </p>
    </header>
  );
}
