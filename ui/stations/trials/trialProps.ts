import type { TrialRun } from "@/core/record/record";

/** A trial tells what came of it and the sentence that is kept with it. */
export type TrialProps = { readonly onResult: (result: TrialRun["result"], note: string) => void };
