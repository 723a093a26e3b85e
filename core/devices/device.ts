import type { SenderTraits } from "./senderTraits";

/** What devices on a rig report at one moment. A real one would send the same. */
export type DeviceReport = {
  /** Seconds since the stream began, in the time of the rig: a scenario may run faster than the clock. */
  readonly atS: number;
  /** What each level sender says, L, by its store. */
  readonly levelsL: Readonly<Record<string, number>>;
  readonly flowLpm: number;
  readonly pitchDeg: number;
  readonly rollDeg: number;
  readonly tankC: number;
  readonly heaterW: number;
  readonly isValveOpen: boolean;
};

export const SCENARIOS = ["week", "stuckFloat", "frostNight", "valveLeftOpen"] as const;
export type Scenario = (typeof SCENARIOS)[number];

/**
 * A store a sender sits in: its room, what is in it at first, and what comes a day, L, below 0 it is drawn from; and what its
 * sender does to the level.
 */
export type WatchedStore = SenderTraits & {
  readonly id: string;
  readonly roomL: number;
  readonly startL: number;
  readonly perDayL: number;
};
