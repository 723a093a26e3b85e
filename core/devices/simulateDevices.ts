import { createRandom } from "../days/random";
import type { DeviceReport, Scenario, WatchedStore } from "./device";

/** So much faster than the clock a scenario runs: a week in under three minutes, a night in a quarter of one. */
export const SPEED: Readonly<Record<Scenario, number>> = {
  week: 3_600,
  stuckFloat: 3_600,
  frostNight: 1_800,
  valveLeftOpen: 60,
};

const DAY_S = 86_400;
/** A sender is off by this share of its room either way. */
const NOISE_SHARE = 0.01;
/** Through a valve left open a tank loses so much a second, L. */
const LEAK_LPS = 0.5;
const STUCK_AFTER_S = DAY_S;
const COLD_C = -12;
const PAD_W = 120;
const HELD_C = 3;

/**
 * What simulated devices say at a moment of a scenario: levels by the litres a day with the steps of the sender, noise and
 * its error at the tilt; a float that sticks after a day; a night at −12 °C with a pad that holds 3 °C; a valve that stands open from the
 * first minute. The same seed says the same. Seconds ≥ 0 in the rig's time. Source: our own stand-in, no device.
 */
export function simulateDevices(
  stores: readonly WatchedStore[],
  scenario: Scenario,
  atS: number,
  seed: number,
): DeviceReport {
  const random = createRandom(seed + Math.floor(atS / 60));
  const wobble = () => random() * 2 - 1;
  const rollDeg = scenario === "week" ? 1.5 * Math.sin(atS / DAY_S) : 0.5;
  const pitchDeg = 0.8;
  const isValveOpen = scenario === "valveLeftOpen" && atS > 60;
  const levelsL = Object.fromEntries(
    stores.map(({ id, roomL, startL, perDayL, pitchLPerDeg, rollLPerDeg, steps }, i) => {
      const seenAt = scenario === "stuckFloat" && i === 0 ? Math.min(atS, STUCK_AFTER_S) : atS;
      const drained = isValveOpen && perDayL > 0 ? LEAK_LPS * (atS - 60) : 0;
      const trueL = Math.max(0, Math.min(roomL, startL + (perDayL * seenAt) / DAY_S - drained));
      // of this tank at this tilt: what its sender's place makes of it
      const off = roomL * NOISE_SHARE * wobble() + pitchLPerDeg * pitchDeg + rollLPerDeg * rollDeg;
      const step = roomL / steps;
      return [id, Math.max(0, Math.min(roomL, Math.round((trueL + off) / step) * step))];
    }),
  );
  const isDay = (atS / DAY_S) % 1 > 0.3;
  const flowLpm = scenario === "frostNight" ? 0 : isDay && random() < 0.15 ? 5 + 2 * wobble() : 0;
  const cooled = 10 * Math.exp(-atS / 30_000) + COLD_C * (1 - Math.exp(-atS / 30_000));
  const isHeld = scenario === "frostNight" && cooled < HELD_C;
  return {
    atS,
    levelsL,
    flowLpm: Math.max(0, flowLpm),
    pitchDeg,
    rollDeg,
    tankC: scenario === "frostNight" ? Math.max(HELD_C, cooled) + 0.2 * wobble() : 12 + wobble(),
    heaterW: isHeld ? PAD_W : 0,
    isValveOpen,
  };
}
