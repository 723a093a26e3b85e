import { WATER_DENSITY } from "../air/dumping";
import type { Tank } from "../design/plumbing";
import { measureCapacityL } from "../geometry/solid";
import { measureSurfaceM2 } from "../tanks/shell";
import { computeHoursToFreezing, computeHoursToIce } from "./freezing";
import type { Night } from "./night";

/** Of tank walls, W/(m K): plastic; metal hinders nothing [T]. */
const WALL_K: Readonly<Record<Tank["material"], number>> = {
  polyethylene: 0.4,
  grp: 0.3,
  stainless: 15,
  aluminium: 200,
};

/**
 * Heat loss of a wall with lagging, W/(m² K): 1/(1/hi + Σ t/k + 1/ho), water inside and air outside. Thicknesses ≥ 0 mm.
 * Bare, the air itself is what holds the heat, and wall and water are left out, on the safe side.
 * Source: resistances in a row, as ISO 6946 [P, from memory, 95 %].
 * Example: 5 mm of 0.4, 20 mm of 0.034, films 100 and 10 → 1.407.
 */
export function computeWallLoss(
  wallMm: number,
  wallK: number,
  insulationMm: number,
  { innerFilm, outerFilm, foamK }: Pick<Night, "innerFilm" | "outerFilm" | "foamK">,
): number {
  if (insulationMm <= 0) return outerFilm;
  const resistance = 1 / innerFilm + wallMm / 1000 / wallK + insulationMm / 1000 / foamK + 1 / outerFilm;
  return 1 / resistance;
}

export type TankFrost = {
  readonly massKg: number;
  readonly lossWPerK: number;
  /** With its pad on all night, if it has one; null where the night does not freeze, or the pad keeps it from that. */
  readonly hoursToFreezing: number | null;
  /** From freezing point until the share of ice that does harm. */
  readonly hoursToIce: number | null;
  /** Where the water comes to rest in the end, °C: as cold as the air, or warmer by its pad. */
  readonly restC: number;
  /** Power, W, that holds it as warm as the heater is set on that night. */
  readonly holdW: number;
};

/**
 * A tank so full, share in (0, 1], on a cold night; its heat leaves through the outside of the lagging [C on T]. A pad on its
 * wall counts as air that is warmer by P/UA, for that is where the water would come to rest.
 */
export function computeTankFrost(tank: Tank, share: number, night: Night): TankFrost {
  const { solid, wallMm, material, insulationMm } = tank;
  const { startC, airC, iceShare, heldC } = night;
  const lossWPerK =
    measureSurfaceM2(solid, wallMm + insulationMm) * computeWallLoss(wallMm, WALL_K[material], insulationMm, night);
  const restC = airC + (tank.padW ?? 0) / lossWPerK;
  const massKg = (Math.max(0.01, share) * measureCapacityL(solid) * WATER_DENSITY) / 1000;
  return {
    massKg,
    lossWPerK,
    restC,
    hoursToFreezing: computeHoursToFreezing({ massKg, lossWPerK, startC, airC: restC }),
    hoursToIce: computeHoursToIce({ massKg, lossWPerK, airC: restC }, iceShare),
    holdW: Math.max(0, lossWPerK * (heldC - airC)),
  };
}
