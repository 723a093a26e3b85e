import type { HoseDuty } from "@/core/gear/hoseDuty";
import { formatQuantity, type Units } from "./units";

/** What a hose must bear, in one or two sentences; null where nothing is asked of it. */
export function describeHoseDuty(duty: HoseDuty, nameOf: (gearId: string) => string, units: Units): string | null {
  const said = [describeWater(duty, nameOf, units), describeFlush(duty, nameOf)].filter((words) => words !== null);
  return said.length > 0 ? said.join(" ") : null;
}

function describeWater(
  { pressed, isDrawn, isHot, isDrunk, isSewage }: HoseDuty,
  nameOf: (gearId: string) => string,
  units: Units,
): string | null {
  const water = `${isHot ? "hot " : ""}${isSewage ? "sewage" : isDrunk ? "drinking water" : "water"}`;
  if (pressed) {
    return `Made for ${water} at ${formatQuantity(Math.ceil(pressed.kPa), "waterPressure", units)} or more: as much can come from ${nameOf(pressed.gearId)} with every tap shut.`;
  }
  if (isDrawn) return `Made for ${water} under suction: a soft one goes flat.`;
  return isHot || isDrunk || isSewage ? `Made for ${water}.` : null;
}

const describeFlush = ({ flushedBy }: HoseDuty, nameOf: (gearId: string) => string): string | null =>
  flushedBy === null
    ? null
    : `${nameOf(flushedBy)} sends waste through it. What it gives isn't reckoned here: read off its sheet what the hose must bear.`;
