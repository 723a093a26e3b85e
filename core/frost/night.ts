import type { RulesChoice } from "../design/design";
import { lookUpValue } from "../rules/lookUpLimit";

/** A cold night as it is reckoned with, and what the water, its lagging and its heater are like. */
export type Night = {
  readonly airC: number;
  /** Heat that leaves a surface to the air, W/(m² K). */
  readonly outerFilm: number;
  /** Heat from water to the wall of a lagged tank, W/(m² K). */
  readonly innerFilm: number;
  readonly foamK: number;
  /** How warm the water is at dusk, °C. */
  readonly startC: number;
  /** Share of it that does harm as ice, (0, 1]. */
  readonly iceShare: number;
  /** A heater holds it so warm, °C. */
  readonly heldC: number;
};

/** What radiation takes off a dull surface near 0 °C, and moving air: 4 + 4 v [P: ISO 6946 annex on films, from memory, 85 %]. */
const RADIATION = 5;
const STILL = 4;
const PER_MPS = 4;

/**
 * Heat from a surface to the air around it, W/(m² K), by wind, m/s in [0, 40]: 5 + 4 + 4 v.
 * Source: ISO 6946 [P, from memory, 85 %]. Example: still → 9, 2.25 m/s → 18, 8 m/s → 41.
 */
export const computeOuterFilm = (windMps: number): number =>
  RADIATION + STILL + PER_MPS * Math.min(40, Math.max(0, windMps));

/** Nothing is divided by nothing: a builder's own nought, or less, is read as this. */
const least = (value: number, bound: number): number => Math.max(value, bound);

/** The night of a design's rules. */
export const readNight = (rules: RulesChoice): Night => ({
  airC: lookUpValue(rules, "nightAir"),
  outerFilm: computeOuterFilm(lookUpValue(rules, "nightWind")),
  innerFilm: least(lookUpValue(rules, "waterFilm"), 1),
  foamK: least(lookUpValue(rules, "foamConductivity"), 0.005),
  startC: lookUpValue(rules, "duskWater"),
  iceShare: Math.min(1, least(lookUpValue(rules, "iceShare"), 0.001)),
  heldC: lookUpValue(rules, "heldWater"),
});
