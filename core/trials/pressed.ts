import type { Design } from "../design/design";
import { readSupplyKPa } from "../gear/supply";

/** Whether hoses of a rig stand under pressure while nothing runs: a pump with a pressure switch, or a tap outside, is on them [C]. */
export const standsUnderPressure = ({ gear }: Pick<Design, "gear">): boolean =>
  gear.some(
    ({ spec }) =>
      (spec.kind === "pump" && spec.cutOutKPa !== null) || (spec.kind === "coupling" && spec.supplyKPa !== null),
  );

/** What hoses stand under at the most, kPa: the highest cut-out of a pump or supply of a tap outside; 0 where nothing presses [C]. */
export const findPressureKPa = ({ gear }: Pick<Design, "gear">): number =>
  Math.max(
    0,
    ...gear.map(({ spec }) =>
      spec.kind === "pump" ? (spec.cutOutKPa ?? 0) : spec.kind === "coupling" ? (readSupplyKPa(spec) ?? 0) : 0,
    ),
  );
