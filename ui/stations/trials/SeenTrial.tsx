import * as WORDS from "@/words/panels/trials/seenTrial";
import { TrialOutcome } from "./TrialOutcome";
import type { TrialProps } from "./trialProps";

/** A trial without readings: eyes and dry paper decide. */
export function SeenTrial({ caution, onResult }: TrialProps & { readonly caution: string }) {
  return (
    <>
      <p className="text-[12.5px] leading-snug text-faint">{caution}</p>
      <TrialOutcome text={WORDS.whatYouSeeAndFeel} verdict={null} onResult={onResult} />
    </>
  );
}
