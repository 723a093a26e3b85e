import type { TrialRun } from "@/core/record/record";
import type { Leak } from "@/core/trials/leakRate";
import { formatNumber, formatQuantity, type Units } from "./units";

export const RESULT_NAMES: Readonly<Record<TrialRun["result"], string>> = {
  held: "Held",
  leaks: "Leaks",
  unclear: "Not clear",
};

const small = (ml: number): string => `${formatNumber(ml, Math.abs(ml) < 1 ? 2 : 1)} mL/min`;

/** What a trial came to, with how sure that is. */
export function describeLeak(
  leak: Pick<Leak, "mlPerMin" | "errorMlPerMin" | "verdict"> & Partial<Pick<Leak, "explainedKPa">>,
  units: Units,
): string {
  const { mlPerMin, errorMlPerMin, verdict, explainedKPa } = leak;
  const weather =
    explainedKPa === undefined || Math.abs(explainedKPa) < 0.05
      ? ""
      : ` Warmth and weather explain ${formatQuantity(Math.abs(explainedKPa), "waterPressure", units)} of it.`;
  switch (verdict) {
    case "leaks":
      return `It loses ${small(mlPerMin)}, give or take ${small(errorMlPerMin)}.${weather} Find the joint, mend it, and try again.`;
    case "held":
      return `No leak shown: less than ${small(Math.max(errorMlPerMin, 0.01))} could hide in the readings.${weather}`;
    case "unclear":
      return `No leak shown, but the correction is larger than what is left.${weather} Let it settle and try again.`;
  }
}
