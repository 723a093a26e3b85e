import { WATER_DENSITY } from "../air/dumping";
import type { Tank } from "../design/plumbing";
import { measureCapacityL } from "../geometry/solid";
import { measureSurfaceM2 } from "../tanks/shell";
import { BARE_LOSS, computeHoursToFreezing, computeHoursToIce } from "./freezing";

/** Conductivity of foam, W/(m K), and films inside and outside a lagged wall, W/(m² K) [T: common building figures]. */
const FOAM_K = 0.034;
const INNER_FILM = 10;
const OUTER_FILM = 100;
/** Of tank walls, W/(m K): plastic; metal hinders nothing [T]. */
const WALL_K: Readonly<Record<Tank["material"], number>> = {
  polyethylene: 0.4,
  grp: 0.3,
  stainless: 15,
  aluminium: 200,
};

/**
 * Heat loss of a wall with lagging, W/(m² K): 1/(1/hi + Σ t/k + 1/ho). Thicknesses ≥ 0 mm. Bare, the still air itself is
 * what holds the heat: 9 W/(m² K) [T]. Source: resistances in a row [C on T].
 * Example: 5 mm of 0.4, 20 mm of 0.034, films 10 and 100 → 1.407.
 */
export function computeWallLoss(wallMm: number, wallK: number, insulationMm: number): number {
  if (insulationMm <= 0) return BARE_LOSS;
  const resistance = 1 / INNER_FILM + wallMm / 1000 / wallK + insulationMm / 1000 / FOAM_K + 1 / OUTER_FILM;
  return 1 / resistance;
}

export type TankFrost = {
  readonly massKg: number;
  readonly lossWPerK: number;
  /** Null where the night does not freeze. */
  readonly hoursToFreezing: number | null;
  readonly hoursToTenth: number | null;
  /** Power, W, that holds it at 3 °C on that night. */
  readonly holdW: number;
};

/** A pad holds the water so warm, °C [T]. */
export const HELD_C = 3;

/** A tank so full, share in (0, 1], and so warm on a night of `airC` °C [C on T]. */
export function computeTankFrost(tank: Tank, share: number, startC: number, airC: number): TankFrost {
  const { solid, wallMm, material, insulationMm } = tank;
  const lossWPerK = measureSurfaceM2(solid) * computeWallLoss(wallMm, WALL_K[material], insulationMm);
  const massKg = (Math.max(0.01, share) * measureCapacityL(solid) * WATER_DENSITY) / 1000;
  return {
    massKg,
    lossWPerK,
    hoursToFreezing: computeHoursToFreezing({ massKg, lossWPerK, startC, airC }),
    hoursToTenth: computeHoursToIce({ massKg, lossWPerK, airC }, 0.1),
    holdW: Math.max(0, lossWPerK * (HELD_C - airC)),
  };
}
