import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import { findCentre, measureExtent } from "../geometry/solid";
import { computeHydrostatics } from "../hull/hydrostatics";
import { measureLoadedSinkMm } from "../hull/loadedLine";
import { radToDeg } from "../quantity/convert";
import { listLevelGroup } from "../tanks/linkedTanks";
import { computeFullKg } from "../tanks/shell";
import { computeFreeSurfaceMm, computeSharedSurfaceMm } from "../through/openHole";

/** What one tank does to how a boat floats. */
export type TankStability = {
  readonly tankId: string;
  /** What its free surface takes off GM while it is part full, mm, as it lies, and turned by a right angle. */
  readonly lossMm: number;
  readonly turnedMm: number;
  /** What it takes more because its water runs over to tanks joined to it on the other side, mm. */
  readonly sharedMm: number;
  /** Heel when it alone is full, °, to its own side; above 0 left. Null where GM is not known. */
  readonly heelDeg: number | null;
  /** Trim when it alone is full, °, above 0 bow down, and how much deeper she lies, mm; null without the hull's sections. */
  readonly trimDeg: number | null;
  readonly sinkMm: number | null;
};

export type Stability = {
  readonly tanks: readonly TankStability[];
  /** All surfaces together, mm, and as a share of GM; null where GM is not known. */
  readonly lossMm: number;
  readonly share: number | null;
  /** All tanks full, and in fresh water: how much deeper she lies than at the given line, mm; null without the hull's sections. */
  readonly sinkMm: number | null;
};

/**
 * Free surface and heel of the tanks of a boat whose weight is known; null on land and where it is not. Free surface of the
 * tank's whole plan, ρ l b³/(12 Δ) with b athwart, on the safe side, and of tanks that share a level as of one; heel tan φ = w y/((Δ + w) GM), trim tan θ = w (x − x of the waterplane's middle)/((Δ + w) BM along) with the hull's
 * sections [C].
 */
export function computeStability({ rig, tanks }: Design): Stability | null {
  const { displacementKg, gmMm } = rig;
  if (rig.kind !== "boat" || displacementKg === null) return null;
  const afloat = rig.hull && rig.waterlineZMm !== null ? computeHydrostatics(rig.hull, rig.waterlineZMm) : null;
  const sharedOf = (tank: Tank, [length, breadth]: readonly [number, number]): number => {
    const joined = listLevelGroup({ tanks }, tank).map((one) => {
      const { min, max } = measureExtent(one.solid);
      return { areaMm2: (max.x - min.x) * (max.y - min.y), yMm: one.atMm.y + (min.y + max.y) / 2, one };
    });
    const areaMm2 = joined.reduce((sum, one) => sum + one.areaMm2, 0);
    const middleMm = joined.reduce((sum, one) => sum + (one.areaMm2 * one.yMm) / areaMm2, 0);
    const own = joined.find(({ one }) => one.id === tank.id);
    return own ? computeSharedSurfaceMm(length, breadth, own.yMm - middleMm, displacementKg) : 0;
  };
  const each = tanks.map((tank): TankStability => {
    const { min, max } = measureExtent(tank.solid);
    const [length, breadth] = [max.x - min.x, max.y - min.y];
    const kg = computeFullKg(tank);
    const centre = findCentre(tank.solid);
    const [along, middle] = [tank.atMm.x + centre.x, tank.atMm.y + centre.y];
    return {
      tankId: tank.id,
      lossMm: computeFreeSurfaceMm(length, breadth, displacementKg),
      turnedMm: computeFreeSurfaceMm(breadth, length, displacementKg),
      sharedMm: sharedOf(tank, [length, breadth]),
      heelDeg: gmMm === null ? null : radToDeg(Math.atan((kg * middle) / ((displacementKg + kg) * gmMm))),
      trimDeg:
        afloat && radToDeg(Math.atan((kg * (along - afloat.middleXMm)) / ((displacementKg + kg) * afloat.bmAlongMm))),
      sinkMm: afloat && (kg / afloat.kgPerCm) * 10,
    };
  });
  const lossMm = each.reduce((sum, tank) => sum + tank.lossMm + tank.sharedMm, 0);
  return {
    tanks: each,
    lossMm,
    share: gmMm === null ? null : lossMm / gmMm,
    sinkMm: measureLoadedSinkMm({ rig, tanks }),
  };
}
