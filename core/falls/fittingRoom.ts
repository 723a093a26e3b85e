import { isHose } from "../parts/pipes";
import { computeTakeOffMm } from "../parts/takeOff";
import { listStraights, measureLegTurnDeg } from "./bends";
import { type Leg, sumLengthMm } from "./drainPath";

export type ShortLeg = { readonly leg: Leg; readonly lengthMm: number; readonly needsMm: number };

/**
 * Straight pieces of rigid pipe between two bends that are shorter than the two bends by themselves, one's socket on the other's:
 * nobody can put them together. Hose bends by itself; at a trap or a tank the fitting is on the other side. Source: geometry [C],
 * room of a bend [T]. Example: 40 mm, two bends of 87° → 46 mm.
 */
export function listShortLegs(legs: readonly Leg[]): ShortLeg[] {
  const straights = listStraights(legs);
  return straights.flatMap((straight, i): ShortLeg[] => {
    const [before, after] = [straights[i - 1]?.at(-1), straights[i + 1]?.[0]];
    const [first, last] = [straight[0]!, straight.at(-1)!];
    if (!before || !after || [before, first, last, after].some(({ pipe }) => isHose(pipe))) return [];
    const lengthMm = sumLengthMm(straight);
    const takeOff = (a: Leg, b: Leg) =>
      computeTakeOffMm(Math.max(a.pipe.outerMm, b.pipe.outerMm), measureLegTurnDeg(a, b));
    const needsMm = takeOff(before, first) + takeOff(last, after);
    return lengthMm < needsMm - ROUNDING_MM ? [{ leg: last, lengthMm, needsMm }] : [];
  });
}

/** What a tape does not tell, mm. */
export const ROUNDING_MM = 1;
