import { type Attitude, computeUp, LEVEL } from "../attitude/attitude";
import type { Sender, SenderKind, Tank } from "../design/plumbing";
import { computeLevelForVolume } from "../geometry/levelForVolume";
import { measureExtent } from "../geometry/solid";
import { measureVolumeBelowL } from "../geometry/volumeBelow";
import { clamp } from "../quantity/tolerance";
import { buildTankField } from "./tankLevels";

/** In how many steps a kind tells the level; null for one that tells it without steps [T]. */
export const SENDER_STEPS: Readonly<Record<SenderKind, number | null>> = {
  probes: 4,
  pads: 3,
  float: null,
  pressure: null,
  fullOnly: 1,
};

/**
 * What a sender shows, L, while so much is in the tank at an attitude. It feels the depth at its own place; a gauge
 * turns that depth back into litres as if the rig stood level, and tells nothing below its lowest or above its highest
 * point. Those with steps show the last step that is wet. Litres in [0, capacity] [C on T].
 */
export function computeShownL(
  tank: Tank,
  { kind, xMm, yMm, lowMm, highMm }: Sender,
  attitude: Attitude,
  trueL: number,
): number {
  const up = computeUp(attitude);
  const surfaceMm = computeLevelForVolume(buildTankField(tank, up), trueL);
  const depthMm = (surfaceMm - up.x * xMm - up.y * yMm) / up.z;
  const told = tell(kind, depthMm, lowMm, highMm);
  return told === null ? 0 : measureVolumeBelowL(buildTankField(tank, computeUp(LEVEL)), told);
}

// The depth a sender tells, mm; null for "empty".
function tell(kind: SenderKind, depthMm: number, lowMm: number, highMm: number): number | null {
  if (depthMm < lowMm) return null;
  const steps = SENDER_STEPS[kind];
  if (steps === null) return clamp(depthMm, lowMm, highMm);
  // probes and pads stand at even heights from the lowest to the highest
  const gap = steps > 1 ? (highMm - lowMm) / (steps - 1) : 0;
  const wet = gap > 0 ? Math.min(steps - 1, Math.floor((depthMm - lowMm) / gap + 1e-9)) : 0;
  return lowMm + wet * gap;
}

/** How far a sender is out over a set of attitudes, L: the most it shows too much and too little, and where. */
export type SenderError = {
  readonly mostOverL: number;
  readonly mostUnderL: number;
  readonly overAt: Attitude;
  readonly underAt: Attitude;
};

const LEVELS = 12;

/** The error of a sender over attitudes and fillings up to `fullL`, L [C]. */
export function computeSenderError(
  tank: Tank,
  sender: Sender,
  attitudes: readonly Attitude[],
  fullL: number,
): SenderError {
  let worst: SenderError = { mostOverL: 0, mostUnderL: 0, overAt: LEVEL, underAt: LEVEL };
  for (const attitude of attitudes) {
    for (let i = 0; i <= LEVELS; i++) {
      const trueL = (fullL * i) / LEVELS;
      const outL = computeShownL(tank, sender, attitude, trueL) - trueL;
      if (outL > worst.mostOverL) worst = { ...worst, mostOverL: outL, overAt: attitude };
      if (-outL > worst.mostUnderL) worst = { ...worst, mostUnderL: -outL, underAt: attitude };
    }
  }
  return worst;
}

const GRID = 4;

/** The place in plan at which a sender is least out over the attitudes: its worst error either way is the smallest [C]. */
export function findBestPlace(tank: Tank, sender: Sender, attitudes: readonly Attitude[], fullL: number): Sender {
  const { min, max } = measureExtent(tank.solid);
  let best = { sender, out: toWorst(computeSenderError(tank, sender, attitudes, fullL)) };
  for (let i = 0; i <= GRID; i++) {
    for (let k = 0; k <= GRID; k++) {
      const xMm = Math.round(min.x + ((max.x - min.x) * (i + 0.5)) / (GRID + 1));
      const yMm = Math.round(min.y + ((max.y - min.y) * (k + 0.5)) / (GRID + 1));
      const there = { ...sender, xMm, yMm };
      const out = toWorst(computeSenderError(tank, there, attitudes, fullL));
      if (out < best.out - 1e-9) best = { sender: there, out };
    }
  }
  return best.sender;
}

const toWorst = ({ mostOverL, mostUnderL }: SenderError): number => Math.max(mostOverL, mostUnderL);
