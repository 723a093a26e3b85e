import type { TrialRun } from "@/core/record/record";

/** A trial tells what came of it and the sentence that is kept with it. */
export type TrialProps = { readonly onResult: (result: TrialRun["result"], note: string) => void };

/** A figure within its bounds is kept; another is refused with the bounds. */
export function keepWithin(
  value: number | null,
  least: number,
  most: number,
  set: (value: number) => void,
): string | null {
  if (value === null || !(value >= least && value <= most)) return `From ${least} to ${most}.`;
  set(value);
  return null;
}
