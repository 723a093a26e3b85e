import { LEVEL } from "../attitude/attitude";
import type { Tank } from "../design/plumbing";
import { measureCapacityL, measureExtent } from "../geometry/solid";
import { computeShownL, SENDER_STEPS } from "../tanks/senders";

/** What a tank's own sender does to a level: litres it is off for each degree of tilt, and in how many steps it tells. */
export type SenderTraits = {
  readonly pitchLPerDeg: number;
  readonly rollLPerDeg: number;
  /** Steps over the whole room; a sender that tells without any is read by the gauge in so many. */
  readonly steps: number;
};

/** A gauge without steps of its own is read in fiftieths [T]. */
const GAUGE_STEPS = 50;

/**
 * The traits of the sender that sits in a tank, from its place and the tank's form, half full and tilted by one degree; of a tank
 * without one those of a sender in its middle [C].
 */
export function findSenderTraits(tank: Tank): SenderTraits {
  const { min, max } = measureExtent(tank.solid);
  const middle = { xMm: (min.x + max.x) / 2, yMm: (min.y + max.y) / 2 };
  const { xMm, yMm } = tank.sender ?? middle;
  // its slope by itself: without its steps and dead ends
  const plain = { kind: "pressure", xMm, yMm, lowMm: min.z, highMm: max.z } as const;
  const halfL = measureCapacityL(tank.solid) / 2;
  const offAt = (pitchDeg: number, rollDeg: number): number =>
    computeShownL(tank, plain, { ...LEVEL, pitchDeg, rollDeg }, halfL) - halfL;
  return {
    pitchLPerDeg: offAt(1, 0),
    rollLPerDeg: offAt(0, 1),
    steps: (tank.sender && SENDER_STEPS[tank.sender.kind]) ?? GAUGE_STEPS,
  };
}
