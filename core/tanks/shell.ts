import { WATER_DENSITY } from "../air/dumping";
import type { Material, Tank } from "../design/plumbing";
import { measureSignedArea } from "../geometry/polygon";
import { measureCapacityL, type Solid, toPrism } from "../geometry/solid";

/** Density of what tanks are made of, kg/m³ [P: materials handbooks, from memory, 95 %; GRP by hand lay-up, T]. */
const DENSITY: Readonly<Record<Material, number>> = {
  polyethylene: 950,
  stainless: 7_900,
  aluminium: 2_700,
  grp: 1_700,
};

/**
 * Surface of a solid, m², grown by so many mm ≥ 0 on every side: its two ends and what its outline sweeps along the axis.
 * A box is exact; a grown outline is taken with the corners of a box, which is more than a round one has [C].
 */
export function measureSurfaceM2(solid: Solid, growMm = 0): number {
  const { lengthMm, profileMm } = toPrism(solid);
  const aroundMm = profileMm.reduce((sum, p, i) => {
    const q = profileMm[(i + 1) % profileMm.length]!;
    return sum + Math.hypot(q.u - p.u, q.v - p.v);
  }, 0);
  const endMm2 = Math.abs(measureSignedArea(profileMm)) + aroundMm * growMm + 4 * growMm ** 2;
  return (2 * endMm2 + (aroundMm + 8 * growMm) * (lengthMm + 2 * growMm)) / 1e6;
}

/** Weight of an empty tank, kg: its surface times its wall; fittings and straps come on top [C on P]. */
export const computeEmptyKg = ({ solid, wallMm, material }: Pick<Tank, "solid" | "wallMm" | "material">): number =>
  measureSurfaceM2(solid) * (wallMm / 1000) * DENSITY[material];

/** Weight of a tank full to the brim, kg, its water at 20 °C [C]. */
export const computeFullKg = (tank: Pick<Tank, "solid" | "wallMm" | "material">): number =>
  computeEmptyKg(tank) + (measureCapacityL(tank.solid) * WATER_DENSITY) / 1000;
