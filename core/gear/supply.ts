import type { SpecOf } from "../design/gear";

/**
 * How hard a tap outside presses behind its coupling, gauge, kPa: as it gives, or what a reducer there lets through, the
 * lesser; what the reducer takes while water runs is not counted. Null where the coupling only lets water out. Source: what
 * a reducer is [C].
 */
export const readSupplyKPa = ({ supplyKPa, reducedToKPa = null }: SpecOf<"coupling">): number | null =>
  supplyKPa === null ? null : Math.min(supplyKPa, reducedToKPa ?? supplyKPa);

/** What a reducer for campers is usually set to, kPa. From memory, no source [T]. */
export const USUAL_REDUCED_KPA = 300;
