import type { TrialRun } from "@/core/record/record";
import type { BucketVerdict } from "@/core/trials/bucketTrial";
import type { Leak } from "@/core/trials/leakRate";
import { formatMl, formatNumber, formatQuantity, type Units } from "./units";

export const RESULT_NAMES: Readonly<Record<TrialRun["result"], string>> = {
  held: "Held",
  leaks: "Leaks",
  unclear: "Not clear",
};

/** What a trial came to, with how sure that is. */
export function describeLeak(
  leak: Pick<Leak, "mlPerMin" | "errorMlPerMin" | "verdict"> & Partial<Pick<Leak, "explainedKPa">>,
  units: Units,
): string {
  const { mlPerMin, errorMlPerMin, verdict, explainedKPa } = leak;
  const small = (ml: number) => formatMl(ml, Math.abs(ml) < 1 ? 2 : 1, units, "/min");
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

/** What bucket and watch told, against what was reckoned. */
export function describeBucket({ shutS, openS, shutRatio, openRatio, cause }: BucketVerdict): string {
  const reckoned = `Worked out: ${formatNumber(shutS, 0)} s with the hatch shut, ${formatNumber(openS, 0)} s open.`;
  const percent = (ratio: number) => `${formatNumber(ratio * 100, 0)} %`;
  switch (cause) {
    case "tooShort":
      return `${reckoned} Five seconds by hand tell nothing: take more litres.`;
    case "fine":
      return `${reckoned} It runs at ${percent(shutRatio)} of that: dump and breather are open.`;
    case "tryOpen":
      return `${reckoned} It runs at only ${percent(shutRatio)} of that. Fill it again, open the hatch or the filling cap, and take the time once more.`;
    case "breather":
      return `${reckoned} Shut it runs at ${percent(shutRatio)}, open at ${percent(openRatio!)}: the breather is blocked. Look for a dip with water, a mesh, a wasp's nest.`;
    case "outlet":
      return `${reckoned} Shut it runs at ${percent(shutRatio)}, open at ${percent(openRatio!)}: outlet, valve or hose is in the way. Look for a kink and a valve half open.`;
  }
}
