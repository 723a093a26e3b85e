import type { Design } from "../design/design";

/** Whether hoses of a rig stand under pressure while nothing runs: a pump with a pressure switch, or a tap outside, is on them [C]. */
export const standsUnderPressure = ({ gear }: Pick<Design, "gear">): boolean =>
  gear.some(
    ({ spec }) =>
      (spec.kind === "pump" && spec.cutOutKPa !== null) || (spec.kind === "coupling" && spec.supplyKPa !== null),
  );
