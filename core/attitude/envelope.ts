import type { Attitude } from "./attitude";

/** How far the rig is ever parked out of level, degrees from level, each in [0, 20]. */
export type Envelope = {
  readonly noseDownDeg: number;
  readonly noseUpDeg: number;
  readonly leftLowDeg: number;
  readonly rightLowDeg: number;
};

/**
 * The attitudes that decide over a whole envelope: level, the middle of each side, the four corners.
 * The fall of a leg is a sinusoid of pitch and of roll and bends the safe way while it is positive,
 * so its least value stands on a corner [C]; a test holds this against a dense grid.
 */
export function listEnvelopeAttitudes(envelope: Envelope): Attitude[] {
  const pitches = distinct([0, envelope.noseDownDeg, -envelope.noseUpDeg]);
  const rolls = distinct([0, envelope.rightLowDeg, -envelope.leftLowDeg]);
  return pitches.flatMap((pitchDeg) => rolls.map((rollDeg) => ({ pitchDeg, rollDeg })));
}

/** True when an attitude lies within the envelope. */
export function isInEnvelope(envelope: Envelope, { pitchDeg, rollDeg }: Attitude): boolean {
  return (
    pitchDeg <= envelope.noseDownDeg &&
    pitchDeg >= -envelope.noseUpDeg &&
    rollDeg <= envelope.rightLowDeg &&
    rollDeg >= -envelope.leftLowDeg
  );
}

const distinct = (values: readonly number[]): number[] => [...new Set(values.map((v) => v + 0 || 0))];
