import { dot, subtract } from "../geometry/vec";
import { radToDeg } from "../quantity/convert";
import type { Leg } from "./drainPath";

/** Less than this is laid in the pipe and not in a bend: half of the slightest bend sold, degrees [T]. */
export const BEND_DEG = 7.5;

/** By how much a drain turns from one leg into the next, degrees from 0 to 180; 0 where one has no length [C]. */
export function measureLegTurnDeg(comes: Leg, goes: Leg): number {
  const lengths = comes.lengthMm * goes.lengthMm;
  if (lengths === 0) return 0;
  const cos = dot(subtract(comes.to, comes.from), subtract(goes.to, goes.from)) / lengths;
  return radToDeg(Math.acos(Math.min(1, Math.max(-1, cos))));
}

/** The straight pieces of a way, each as the legs it is drawn in; points without a way between them are one. */
export function listStraights(legs: readonly Leg[]): readonly (readonly Leg[])[] {
  const straights: Leg[][] = [];
  for (const leg of legs) {
    if (leg.lengthMm === 0) continue;
    const last = straights.at(-1);
    if (last && measureLegTurnDeg(last.at(-1)!, leg) <= BEND_DEG) last.push(leg);
    else straights.push([leg]);
  }
  return straights;
}
