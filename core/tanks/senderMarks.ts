import { type Attitude, computeUp, LEVEL } from "../attitude/attitude";
import type { Sender, Tank } from "../design/plumbing";
import { measureCapacityL } from "../geometry/solid";
import { measureVolumeBelowL } from "../geometry/volumeBelow";
import { SENDER_STEPS } from "./senders";
import { buildTankField } from "./tankLevels";

/** One reading of a sender: the depth it stands for, and what is in the tank when it shows it. */
export type SenderMark = {
  readonly depthMm: number;
  readonly levelL: number;
  /** As the rig stands. */
  readonly hereL: number;
  /** Resistance of a float of the two common series, Ω; null for other kinds. */
  readonly ohms: { readonly rising: number; readonly falling: number } | null;
};

/** What a sender cannot tell, standing level: litres below its lowest and above its highest point. */
export type DeadBands = { readonly belowL: number; readonly aboveL: number };

/** Floats rise with the water from 0 to 190 Ω, or fall from 240 to 33 Ω [T: the two common series, from memory]. */
const RISING = [0, 190] as const;
const FALLING = [240, 33] as const;
/** A sender without steps is given at so many marks. */
const MARKS = 5;

/** The readings of a sender, lowest first: each of its steps, or evenly between its ends [C]. */
export function listSenderMarks(
  tank: Tank,
  { kind, xMm, yMm, lowMm, highMm }: Sender,
  attitude: Attitude,
): SenderMark[] {
  const count = SENDER_STEPS[kind] ?? MARKS;
  const up = computeUp(attitude);
  const [level, here] = [buildTankField(tank, computeUp(LEVEL)), buildTankField(tank, up)];
  return Array.from({ length: count }, (_, i): SenderMark => {
    const share = count > 1 ? i / (count - 1) : 0;
    const depthMm = lowMm + share * (highMm - lowMm);
    const at = (range: readonly [number, number]) => range[0] + share * (range[1] - range[0]);
    return {
      depthMm,
      levelL: measureVolumeBelowL(level, depthMm),
      hereL: measureVolumeBelowL(here, up.x * xMm + up.y * yMm + up.z * depthMm),
      ohms: kind === "float" ? { rising: at(RISING), falling: at(FALLING) } : null,
    };
  });
}

/** Litres a sender tells nothing of, standing level [C]. */
export function measureDeadBands(tank: Tank, { kind, lowMm, highMm }: Sender): DeadBands {
  const field = buildTankField(tank, computeUp(LEVEL));
  const top = SENDER_STEPS[kind] === 1 ? lowMm : highMm;
  return {
    belowL: measureVolumeBelowL(field, lowMm),
    aboveL: measureCapacityL(tank.solid) - measureVolumeBelowL(field, top),
  };
}
