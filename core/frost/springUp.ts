import type { Design } from "../design/design";
import type { Evaluation } from "../evaluate/evaluation";
import { measureFreshL } from "../road/care";
import { listDrainedGear, listTaps, listTrapWaters, sortGear } from "./drainDown";

/** One step of bringing the rig back into use after frost. */
export type SpringStep =
  | { readonly kind: "closeGear"; readonly gearId: string }
  | { readonly kind: "openSeacock"; readonly gearId: string }
  | { readonly kind: "turnBack"; readonly gearIds: readonly string[] }
  | { readonly kind: "fuseIn"; readonly gearIds: readonly string[] }
  /** Heaters and lamps, when water runs through them again. */
  | { readonly kind: "heatLast"; readonly gearIds: readonly string[] }
  | { readonly kind: "shutTaps"; readonly gearIds: readonly string[] }
  | { readonly kind: "shutOutlet"; readonly tankId: string }
  | { readonly kind: "sanitise"; readonly litres: number }
  | { readonly kind: "fillTrap"; readonly lineId: string; readonly inLine: boolean; readonly litres: number }
  | { readonly kind: "pourTrial"; readonly fixtureId: string }
  | { readonly kind: "dumpFirst" };

/**
 * The way back after frost, in the order it is done: closed what was opened, the fresh side sanitised, traps filled, then a
 * bucket into every outlet with somebody underneath, and the first water dumped for what is still in it. From the evaluation
 * of the same design. Common practice, no source [T].
 */
export function listSpringUp(design: Design, evaluation: Evaluation): SpringStep[] {
  const { tanks, fixtures } = design;
  const freshL = measureFreshL(design);
  const taps = listTaps(design);
  const { heated, turned, driven, seacocks } = sortGear(design);
  const traps = listTrapWaters(design, evaluation);
  const outlets = tanks.filter(({ ports }) => ports.some(({ kind }) => kind === "outlet" || kind === "plug"));
  return [
    ...listDrainedGear(design).map((gearId): SpringStep => ({ kind: "closeGear", gearId })),
    ...seacocks.map((gearId): SpringStep => ({ kind: "openSeacock", gearId })),
    ...(turned.length > 0 ? [{ kind: "turnBack", gearIds: turned } as const] : []),
    ...(taps.length > 0 ? [{ kind: "shutTaps", gearIds: taps } as const] : []),
    ...outlets.map(({ id }): SpringStep => ({ kind: "shutOutlet", tankId: id })),
    ...(driven.length > 0 ? [{ kind: "fuseIn", gearIds: driven } as const] : []),
    ...(freshL > 0 ? [{ kind: "sanitise", litres: freshL } as const] : []),
    ...(heated.length > 0 ? [{ kind: "heatLast", gearIds: heated } as const] : []),
    ...traps.map(({ lineId, inLine, litres }): SpringStep => ({ kind: "fillTrap", lineId, inLine, litres })),
    ...fixtures.map(({ id }): SpringStep => ({ kind: "pourTrial", fixtureId: id })),
    ...(outlets.length > 0 ? [{ kind: "dumpFirst" } as const] : []),
  ];
}
