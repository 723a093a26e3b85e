/** Below this Reynolds number a flow is laminar, above the second it is turbulent; between them it is bridged. */
const LAMINAR_BELOW = 2000;
const TURBULENT_ABOVE = 4000;
/** 5.74 / 4000^0.9, where the bridge ends. */
const AT_BRIDGE_END = 5.74 / TURBULENT_ABOVE ** 0.9;

/** A friction factor and how it grows with the flow: Re/f · df/dRe. */
export type Friction = { f: number; growth: number };

const scratch: Friction = { f: 0, growth: 0 };

/**
 * Darcy friction factor f of a full round pipe: laminar 64/Re below Re 2000, Dunlop's cubic to 4000, Swamee and Jain
 * above. Re ≥ 0; relative roughness ε/D [0, 0.05]. 0 for no flow.
 * Source: Swamee and Jain 1976; Dunlop 1991 for the bridge [P, from memory, 90 %].
 */
export function computeFrictionFactor(reynolds: number, relativeRoughness = 0): number {
  computeFriction(reynolds, relativeRoughness, scratch);
  return scratch.f;
}

/** The same with its growth, −1 while laminar and between −0.25 and 0 above, put into `into`: the laws derived [C]. */
export function computeFriction(reynolds: number, relativeRoughness: number, into: Friction): void {
  if (reynolds <= 0) {
    into.f = 0;
    into.growth = 0;
    return;
  }
  if (reynolds < LAMINAR_BELOW) {
    into.f = 64 / reynolds;
    into.growth = -1;
    return;
  }
  const wall = relativeRoughness / 3.7;
  const viscous = 5.74 * Math.exp(-0.9 * Math.log(reynolds));
  const whole = wall + viscous;
  const log = Math.log(whole) / Math.LN10;
  if (reynolds > TURBULENT_ABOVE) {
    // f = 1/4L², so that its growth is −2 Re/L · dL/dRe
    into.f = 0.25 / (log * log);
    into.growth = (1.8 * viscous) / (whole * Math.LN10 * log);
    return;
  }
  const y3 = -2 * Math.log10(wall + AT_BRIDGE_END);
  const fa = 1 / y3 ** 2;
  const fb = fa * (2 - 0.00514215 / (whole * y3));
  const r = reynolds / LAMINAR_BELOW;
  const x1 = 7 * fa - fb;
  const x2 = 0.128 - 17 * fa + 2.5 * fb;
  const x3 = -0.128 + 13 * fa - 2 * fb;
  const x4 = 0.032 - 3 * fa + 0.5 * fb;
  into.f = x1 + r * (x2 + r * (x3 + r * x4));
  // Re · dfb/dRe: fb moves with what the viscous part does
  const fbGrowth = (fa * 0.00514215 * -0.9 * viscous) / (y3 * whole * whole);
  const moved = fbGrowth * (-1 + r * (2.5 + r * (-2 + 0.5 * r)));
  into.growth = (r * (x2 + r * (2 * x3 + 3 * r * x4)) + moved) / into.f;
}
