import type { HoseDuty } from "@/core/gear/hoseDuty";
import { formatQuantity, type Units } from "./units";

/** What a hose must bear, as one sentence; null where nothing is asked of it. */
export function describeHoseDuty(
  { pressed, isDrawn, isHot, isDrunk }: HoseDuty,
  nameOf: (gearId: string) => string,
  units: Units,
): string | null {
  const water = `${isHot ? "hot " : ""}${isDrunk ? "drinking water" : "water"}`;
  if (pressed) {
    return `Made for ${water} at ${formatQuantity(Math.ceil(pressed.kPa), "waterPressure", units)} or more: as much can come from ${nameOf(pressed.gearId)} with every tap shut.`;
  }
  if (isDrawn) return `Made for ${water} under suction: a soft one goes flat.`;
  return isHot || isDrunk ? `Made for ${water}.` : null;
}
