import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import { computeAirwayPressurePa } from "./airPressure";
import type { PumpDraw } from "./pumpOut";
import type { TankAir } from "./tankAir";
import { followVent, listVents, toFreePipe } from "./ventPath";

/** Suction or pressure, Pa, that one tank's air puts on another through the breather they share. */
export type SharedAir = {
  readonly fromTankId: string;
  readonly suctionPa: number;
  /** It is let go, or a station or its own pump pumps it out. */
  readonly by: "dump" | "pumpOut";
};

/**
 * The worst suction another tank puts on this one while it is dumped or pumped out: what the stretches they share take at that flow.
 * The air of this tank stands still meanwhile, so the tee's suction reaches it whole [C]. Null where nothing is shared.
 */
export function computeSharedAir(
  design: Design,
  tank: Tank,
  airs: ReadonlyMap<string, TankAir>,
  draws: ReadonlyMap<string, readonly PumpDraw[]> = new Map(),
): SharedAir | null {
  const own = new Set(listVents(design, tank.id).flatMap((vent) => followVent(design, vent).map(({ id }) => id)));
  let worst: SharedAir | null = null;
  const drawn = [
    ...[...airs].map(([id, { stretches, dumpFlowLps: lps }]) => ({ id, stretches, lps, by: "dump" as const })),
    ...[...draws].flatMap(([id, those]) =>
      those.map(({ stretches, flowLps: lps }) => ({ id, stretches, lps, by: "pumpOut" as const })),
    ),
  ];
  for (const { id: fromTankId, stretches, lps, by } of drawn) {
    if (fromTankId === tank.id) continue;
    const first = stretches.findIndex(({ lineId }) => own.has(lineId));
    if (first < 0) continue;
    const shared = stretches.slice(first).map(toFreePipe);
    const suctionPa = computeAirwayPressurePa(lps / 1000, shared);
    if (!worst || suctionPa > worst.suctionPa) worst = { fromTankId, suctionPa, by };
  }
  return worst;
}
