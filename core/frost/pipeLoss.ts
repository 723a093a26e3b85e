import type { Night } from "./night";

/** Of lagged pipe so much is bare all the same: clips, bends, ends and seams, a share [T]. */
const LEFT_BARE = 0.1;

/**
 * Heat that a metre of pipe, hose or trap loses for each degree, W/(m K), with foam of `insulationMm` ≥ 0 round an outside of
 * `outerMm` > 0: 0.1 h π d + 0.9/(ln(1 + 2 i/d)/(2 π k) + 1/(h π (d + 2 i))). Water and wall are left out, on the safe side.
 * Never more than bare, as foam round something very thin would be. Source: resistances in a row round a pipe, as ISO 12241
 * [P, from memory, 90 %]; a tenth that stays bare [T].
 * Example: 40 mm, foam of 13 mm at 0.034 W/(m K), film 18 → 0.571, bare 2.262.
 */
export function computePipeLoss(
  outerMm: number,
  insulationMm: number,
  { outerFilm, foamK }: Pick<Night, "outerFilm" | "foamK">,
): number {
  const d = outerMm / 1000;
  const outside = d + (2 * insulationMm) / 1000;
  const bare = outerFilm * Math.PI * d;
  if (insulationMm <= 0) return bare;
  const lagged = 1 / (Math.log(outside / d) / (2 * Math.PI * foamK) + 1 / (outerFilm * Math.PI * outside));
  return LEFT_BARE * bare + (1 - LEFT_BARE) * Math.min(bare, lagged);
}
