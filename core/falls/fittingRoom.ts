import { isHose } from "../parts/pipes";
import { BEND_DEG, listStraights, measureTurnDeg } from "./bends";
import type { Leg } from "./drainPath";

/** From the middle of a right-angled bend to the foot of its socket, as a share of the pipe's outside [T: bends of waste pipe]. */
export const TAKE_OFF = 0.6;

/** What a bend takes of the leg on either side of it, mm: less the less it turns. Angle in degrees from 0 to 170 [C on T]. */
export const computeTakeOffMm = (outerMm: number, turnDeg: number): number =>
  turnDeg <= BEND_DEG ? 0 : TAKE_OFF * outerMm * Math.min(1.5, Math.tan((turnDeg * Math.PI) / 360));

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
    const lengthMm = straight.reduce((sum, leg) => sum + leg.lengthMm, 0);
    const takeOff = (a: Leg, b: Leg) =>
      computeTakeOffMm(Math.max(a.pipe.outerMm, b.pipe.outerMm), measureTurnDeg(a, b));
    const needsMm = takeOff(before, first) + takeOff(last, after);
    return lengthMm < needsMm - ROUNDING_MM ? [{ leg: last, lengthMm, needsMm }] : [];
  });
}

/** What a tape does not tell, mm. */
const ROUNDING_MM = 1;
