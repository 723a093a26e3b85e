"use client";
import { TRIAL_RESULTS, type TrialRun } from "@/core/record/record";
import * as WORDS from "@/words/panels/trials/trialOutcome";
import { RESULT_NAMES } from "@/words/trialRuns";
import { Button } from "../../kit/Button";
import type { TrialProps } from "./trialProps";

/** What the readings come to, and the three answers, the one they suggest standing out; none where only eyes can tell. */
export function TrialOutcome({
  text,
  verdict,
  onResult,
}: TrialProps & { readonly text: string; readonly verdict: TrialRun["result"] | null }) {
  const kept = verdict === null ? WORDS.byEye : text;
  return (
    <div className="pt-1">
      <p data-testid="trial-outcome" className={`text-[14px] leading-snug ${verdict === "leaks" ? "text-signal" : ""}`}>
        {text}
      </p>
      <div className="flex flex-wrap gap-1.5 pt-1">
        {TRIAL_RESULTS.map((result) => (
          <Button
            key={result}
            look={result === verdict ? "plate" : "line"}
            className="phone:min-h-14"
            onClick={() => onResult(result, kept)}
          >
            {RESULT_NAMES[result]}
          </Button>
        ))}
      </div>
    </div>
  );
}
