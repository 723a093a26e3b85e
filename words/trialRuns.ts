import type { TrialRun } from "@/core/record/record";
import type { BucketVerdict } from "@/core/trials/bucketTrial";
import type { Leak, Paper, WaterLoss } from "@/core/trials/leakRate";
import { formatMl, formatNumber, formatQuantity, type Units } from "./units";

export const RESULT_NAMES: Readonly<Record<TrialRun["result"], string>> = {
  held: "Held",
  leaks: "Leaks",
  unclear: "Not clear",
};

/** What was seen of the paper under the joints. */
export const PAPER_NAMES: Readonly<Record<Paper, string>> = { unseen: "Not looked at", dry: "Dry", wet: "Wet" };

/** What a trial with water came to, and what is to be done where it is not clear. */
export function describeWaterTrial(loss: WaterLoss, units: Units): string {
  const small = (ml: number) => formatMl(ml, Math.abs(ml) < 1 ? 2 : 1, units, "/min");
  const could = small(Math.max(loss.errorMlPerMin, 0.01));
  const wait = `${formatNumber(Math.ceil(loss.minutesToTell), 0)} min`;
  switch (loss.cause) {
    case "paperWet":
      return "The paper is wet: it leaks at that joint. Mend it, and try again.";
    case "levelSank":
      return `It loses ${small(loss.mlPerMin)}, give or take ${small(loss.errorMlPerMin)}. Find the joint, mend it, and try again.`;
    case "tooShort":
      return "No leak shown yet. Water should stand for 15 min before anything is said.";
    case "paperDry":
      return "No leak shown: the paper under the joints stayed dry.";
    case "levelStood":
      return `No leak shown: less than ${could} could hide in the readings.`;
    case "tooWide":
      return `On so wide a surface a drip does not show: ${could} could hide. Look at the paper under each joint, or watch the level for ${wait}.`;
  }
}

/** What a trial with air came to, with how sure that is. */
export function describeLeak(
  leak: Pick<Leak, "mlPerMin" | "errorMlPerMin" | "verdict" | "explainedKPa" | "isLow">,
  wantedKPa: number,
  units: Units,
): string {
  const { mlPerMin, errorMlPerMin, verdict, explainedKPa, isLow } = leak;
  const small = (ml: number) => formatMl(ml, Math.abs(ml) < 1 ? 2 : 1, units, "/min");
  const weather =
    Math.abs(explainedKPa) < 0.05
      ? ""
      : ` Warmth and weather explain ${formatQuantity(Math.abs(explainedKPa), "waterPressure", units)} of it.`;
  switch (verdict) {
    case "leaks":
      return `It loses ${small(mlPerMin)}, give or take ${small(errorMlPerMin)}.${weather} Find the joint, mend it, and try again.`;
    case "held":
      return `No leak shown: less than ${small(Math.max(errorMlPerMin, 0.01))} could hide in the readings.${weather}`;
    case "unclear":
      if (mlPerMin < -errorMlPerMin)
        return `It gained pressure, which no leak does: a reading is off, or the air in it is still warming up.${weather} Let it settle and try again.`;
      if (isLow)
        return `No leak shown, but it stands under ${formatQuantity(wantedKPa, "waterPressure", units)} in use: bring it up to that and try again.`;
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
