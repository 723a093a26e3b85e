/** Below this Reynolds number a flow is laminar, above the second it is turbulent; between them it is bridged. */
const LAMINAR_BELOW = 2000;
const TURBULENT_ABOVE = 4000;

/**
 * Darcy friction factor f of a full round pipe: laminar 64/Re below Re 2000, Dunlop's cubic to 4000, Swamee and Jain
 * above. Re ≥ 0; relative roughness ε/D [0, 0.05]. 0 for no flow.
 * Source: Swamee and Jain 1976; Dunlop 1991 for the bridge [P, from memory, 90 %].
 */
export function computeFrictionFactor(reynolds: number, relativeRoughness = 0): number {
  if (reynolds <= 0) return 0;
  if (reynolds < LAMINAR_BELOW) return 64 / reynolds;
  const wall = relativeRoughness / 3.7;
  if (reynolds > TURBULENT_ABOVE) return 0.25 / Math.log10(wall + 5.74 / reynolds ** 0.9) ** 2;
  const y2 = wall + 5.74 / reynolds ** 0.9;
  const y3 = -2 * Math.log10(wall + 5.74 / TURBULENT_ABOVE ** 0.9);
  const fa = 1 / y3 ** 2;
  const fb = fa * (2 - 0.00514215 / (y2 * y3));
  const r = reynolds / LAMINAR_BELOW;
  const x1 = 7 * fa - fb;
  const x2 = 0.128 - 17 * fa + 2.5 * fb;
  const x3 = -0.128 + 13 * fa - 2 * fb;
  const x4 = r * (0.032 - 3 * fa + 0.5 * fb);
  return x1 + r * (x2 + r * (x3 + x4));
}
