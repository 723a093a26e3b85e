import type { LinePiece } from "../parts/linePieces";
import { isHose } from "../parts/pipes";
import { computePointTakeOffs } from "../parts/pointFittings";
import { sumLengthMm } from "./drainPath";
import { ROUNDING_MM, type ShortLeg } from "./fittingRoom";

/**
 * Pieces of pipe shorter than what is fitted at their ends by itself: branches, valves and running traps take room as bends do. The last piece of a branch
 * ends in the line it joins, whose fitting takes so much of it; null where it does not end in one. Source: geometry [C], room [T].
 */
export function listShortPieces(pieces: readonly LinePiece[], endTakeOffMm: number | null): ShortLeg[] {
  return pieces.flatMap(({ legs, before, after }): ShortLeg[] => {
    const { pipe } = legs[0]!;
    const takesAfter = after ? computePointTakeOffs(after, pipe)[0] : endTakeOffMm;
    if (!before || takesAfter === null || isHose(pipe)) return [];
    const lengthMm = sumLengthMm(legs);
    const needsMm = computePointTakeOffs(before, pipe)[1] + takesAfter;
    // points in one place are one: what stands at both is taken to be one fitting
    return lengthMm > 0 && lengthMm < needsMm - ROUNDING_MM ? [{ leg: legs.at(-1)!, lengthMm, needsMm }] : [];
  });
}
