import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import { followVent } from "../air/ventPath";
import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import type { Tank } from "../design/plumbing";
import type { Network } from "../falls/network";
import { measureExtent } from "../geometry/solid";
import { listLevelGroup } from "./linkedTanks";

/** Water that stands over a tank when it is filled until it runs out somewhere. */
export type WaterColumn = {
  /** From the tank's top up to where it runs out, mm > 0. */
  readonly overMm: number;
  readonly pressureKPa: number;
  /** On the whole of its top, kN. */
  readonly forceKN: number;
  readonly outAt: "vent" | "fixture" | "filler";
};

/**
 * The column on a tank's top, mm, filled to the lowest place where water comes out: the end of a breather, the rim of a fixture,
 * a filler's neck; ρ g h, and on the top as a flat wall. A membrane valve may hold, and then it rises on. Level. Null where it runs out
 * no higher than its top, or nowhere. Source: hydrostatics [C]. Example: 2.2 m over 800 × 400 mm → 21.5 kPa, 6.9 kN.
 */
export function computeWaterColumn(design: Design, network: Network, tank: Tank): WaterColumn | null {
  const { min, max } = measureExtent(tank.solid);
  const topMm = tank.atMm.z + max.z;
  const ways = listLevelGroup(design, tank).flatMap((one) => listWaysOut(design, network, one));
  const lowest = ways.reduce<WayOut | null>((a, b) => (a && a.zMm <= b.zMm ? a : b), null);
  if (!lowest || lowest.zMm <= topMm) return null;
  const overMm = lowest.zMm - topMm;
  const pressureKPa = (WATER_DENSITY * GRAVITY * overMm) / 1e6;
  const forceKN = (pressureKPa * (max.x - min.x) * (max.y - min.y)) / 1e6;
  return { overMm, pressureKPa, forceKN, outAt: lowest.by };
}

type WayOut = { readonly by: WaterColumn["outAt"]; readonly zMm: number };

function listWaysOut(design: Design, network: Network, tank: Tank): WayOut[] {
  const vents = design.lines.flatMap((line): WayOut[] => {
    if (line.kind !== "vent" || line.fromTank !== tank.id) return [];
    const end = followVent(design, line).at(-1)!.pointsMm.at(-1);
    return end ? [{ by: "vent", zMm: end.z }] : [];
  });
  const drains = (network.drainsByTank.get(tank.id) ?? []).flatMap((drain): WayOut[] => {
    const fixture = network.fixtures.get(drain.fromFixture);
    if (!fixture || findTrap(drain)?.kind === "membrane") return [];
    return [{ by: "fixture", zMm: fixture.outletMm.z + fixture.rimMm }];
  });
  const fillers = design.lines.flatMap((line): WayOut[] => {
    if (line.kind !== "hose") return [];
    const [from, to] = [line.from, line.to];
    const isIn = [from, to].some((end) => end.kind === "tank" && end.tankId === tank.id);
    const other = [from, to].find((end) => end.kind === "gear");
    const neck = isIn && other?.kind === "gear" ? network.gear.get(other.gearId) : undefined;
    // one that a tap presses into gives nothing back
    const isOpen = neck?.spec.kind === "coupling" && neck.spec.supplyKPa === null;
    return isOpen ? [{ by: "filler", zMm: neck.atMm.z + neck.sizeMm.z }] : [];
  });
  return [...vents, ...drains, ...fillers];
}
