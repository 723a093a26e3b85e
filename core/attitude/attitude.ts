import { type Vec3, vec } from "../geometry/vec";
import { degToRad } from "../quantity/convert";

/** How the rig stands, degrees, ISO 8855: pitch above 0 is nose down, roll above 0 is left side up. */
export type Attitude = { readonly pitchDeg: number; readonly rollDeg: number };

export const LEVEL: Attitude = { pitchDeg: 0, rollDeg: 0 };

export const isLevel = (attitude: Attitude): boolean => attitude.pitchDeg === 0 && attitude.rollDeg === 0;

/**
 * Up direction u in the rig frame, unit vector, for pitch p and roll r in (−90, 90)°:
 * u = (−sin p, cos p sin r, cos p cos r). A point's true height is u·P [C, ISO 8855 axes].
 */
export function computeUp({ pitchDeg, rollDeg }: Attitude): Vec3 {
  const p = degToRad(pitchDeg);
  const r = degToRad(rollDeg);
  return vec(-Math.sin(p), Math.cos(p) * Math.sin(r), Math.cos(p) * Math.cos(r));
}

/** The attitude seen in a rig mirrored left to right. */
export const mirrorAttitude = ({ pitchDeg, rollDeg }: Attitude): Attitude => ({ pitchDeg, rollDeg: -rollDeg });
