import { BEND_DEG } from "../falls/bends";

/** From the middle of a right-angled bend to the foot of its socket, as a share of the pipe's outside [T: bends of waste pipe]. */
export const TAKE_OFF = 0.6;

/** What a bend takes of the leg on either side of it, mm: less the less it turns. Angle in degrees from 0 to 170 [C on T]. */
export const computeTakeOffMm = (outerMm: number, turnDeg: number): number =>
  turnDeg <= BEND_DEG ? 0 : TAKE_OFF * outerMm * Math.min(1.5, Math.tan((turnDeg * Math.PI) / 360));
