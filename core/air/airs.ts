import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { Network } from "../falls/network";
import { lookUpValue } from "../rules/lookUpLimit";
import { computeAirwayPressurePa } from "./airPressure";
import { sumFillLps } from "./filling";
import { type Fill, findMetAir, type MetAir } from "./meetAir";
import { computePumpDraws, type PumpDraw } from "./pumpOut";
import { computeTankAir, type TankAir } from "./tankAir";
import { buildVentPath, listVents } from "./ventPath";

/** The air of all tanks: what each one's own dump, a pump-out and its pumps suck, and what the others' do to it. By the tank's id. */
export type Airs = Omit<MetAir, "fills"> & {
  readonly own: ReadonlyMap<string, TankAir>;
  readonly draws: ReadonlyMap<string, readonly PumpDraw[]>;
  /** Every tank that has a breather while it fills, whether it is let go, pumped out or neither. */
  readonly fills: ReadonlyMap<string, Fill>;
};

/** All of it for a design, its drains looked up. Source: the parts [C]. */
export function computeAirs(design: Design, network: Network): Airs {
  const mostPa = lookUpValue(design.rules, "ventSuction");
  const each = <T>(compute: (tank: Tank) => T | null): ReadonlyMap<string, T> =>
    new Map(
      design.tanks.flatMap((tank) => {
        const value = compute(tank);
        return value === null ? [] : [[tank.id, value] as const];
      }),
    );
  const own = each((tank) => computeTankAir(design, tank, mostPa, network));
  const draws = each((tank) => computePumpDraws(design, tank, mostPa, network));
  const { shared, together, fills } = findMetAir(design, network, own, draws);
  return {
    own,
    draws,
    shared,
    together,
    fills: each((tank) => {
      const met = fills.get(tank.id);
      const pa = met?.pa ?? own.get(tank.id)?.fillPa ?? computeFillPa(design, tank, network);
      return met ?? (pa === null ? null : { pa, otherIds: [] });
    }),
  };
}

/**
 * Pressure in a tank, Pa, at the largest flow that can come into it alone, `sumFillLps`; null without a
 * breather. Of several breathers the best is counted alone, which is on the safe side. Source: `computeAirwayPressurePa` [C].
 */
export function computeFillPa(design: Design, tank: Tank, network: Network): number | null {
  const flowM3PerS = sumFillLps(design, network, tank.id) / 1000;
  const pressures = listVents(design, tank.id).map((vent) => {
    const airway = buildVentPath(design, vent).stretches.map(({ pipe }) => pipe);
    return computeAirwayPressurePa(flowM3PerS, airway);
  });
  return pressures.length === 0 ? null : Math.min(...pressures);
}

/** What sucks on a tank: how hard, Pa, whether one is let go or pumped out, and whether it is another one by a shared breather. */
export type Suction = { readonly pa: number; readonly by: "dump" | "pumpOut"; readonly isShared: boolean };

/** What sucks hardest on a tank: its own dump, what pumps it out, or another tank's through a breather they share; 0 Pa for nothing. */
export function findSuction(airs: Airs, tankId: string): Suction {
  const shared = airs.shared.get(tankId);
  return [
    { pa: airs.own.get(tankId)?.suctionPa ?? 0, by: "dump" as const, isShared: false },
    ...(airs.draws.get(tankId) ?? []).map(({ suctionPa: pa }) => ({ pa, by: "pumpOut" as const, isShared: false })),
    { pa: shared?.suctionPa ?? 0, by: shared?.by ?? ("dump" as const), isShared: true },
  ].reduce((a, b) => (b.pa > a.pa ? b : a));
}
