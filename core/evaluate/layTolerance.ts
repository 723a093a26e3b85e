import type { RulesChoice } from "../design/design";
import { lookUpValue } from "../rules/lookUpLimit";

/** From this length on a hand is off by the whole tolerance; on a shorter leg by as much less [T]. */
const WHOLE_FROM_MM = 1_000;

/**
 * What a hand with tape and level is off by over a leg of plan length L, mm ≥ 0: the tolerance of the rules from 1 m on,
 * in proportion below. Source: limit `layTolerance` [T]. Example: 5 mm at 5 m, 1 mm at 200 mm.
 */
export const computeLayToleranceMm = (rules: RulesChoice, planLengthMm: number): number =>
  Math.max(0, lookUpValue(rules, "layTolerance")) * Math.min(1, planLengthMm / WHOLE_FROM_MM);
