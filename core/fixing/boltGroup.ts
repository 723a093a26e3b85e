/** A bolt in plan, mm. */
export type BoltPlace = { readonly x: number; readonly y: number };

/** What acts on a plate at its bolts' plane: level forces and the pull away from it, kN, at a point in plan, mm, so high off the plane. */
export type GroupLoad = {
  readonly pushXKN: number;
  readonly pushYKN: number;
  /** Away from the plane; below 0 presses it on. */
  readonly pullKN: number;
  /** Where the forces act, in plan and off the plane, mm. */
  readonly at: BoltPlace;
  readonly leverMm: number;
};

export type BoltForce = { readonly shearKN: number; readonly tensionKN: number };

/** What every bolt bears, and whether the pattern holds at all; forces are null where it does not. */
export type GroupForces = { readonly bolts: readonly BoltForce[] } | { readonly bolts: null };

/** So little spread is none: bolts within a millimetre of one line, mm². */
const NO_SPREAD_MM2 = 1;

/**
 * Shear and pull on each bolt of a group that holds a stiff plate: the pull and the moments Mx, My about the group's centroid
 * are borne by bolts as they lie off it, T = F/n + a dx + b dy with (a, b) from the spreads Σdx², Σdxdy, Σdy²; the push is
 * shared evenly and its moment about the upright axis goes round as M r/Σr². Places in mm, at least one; forces in kN.
 * Where they stand in one line or one point and a moment acts across, nothing holds it: null.
 * Source: elastic bolt group [C]. Example: four at ±300, ±200, pull 4, 1 kN forward 100 mm off the plane → 1.083 kN at two.
 */
export function computeBoltGroup(
  places: readonly BoltPlace[],
  { pushXKN, pushYKN, pullKN, at, leverMm }: GroupLoad,
): GroupForces {
  const n = places.length;
  const centre = {
    x: places.reduce((sum, p) => sum + p.x, 0) / n,
    y: places.reduce((sum, p) => sum + p.y, 0) / n,
  };
  const off = places.map((p) => ({ x: p.x - centre.x, y: p.y - centre.y }));
  const sum = (pick: (p: BoltPlace) => number) => off.reduce((all, p) => all + pick(p), 0);
  const [xx, xy, yy] = [sum((p) => p.x ** 2), sum((p) => p.x * p.y), sum((p) => p.y ** 2)];
  // the tank's middle lies beyond the plane: what pushes it forward pulls at the rear and lets go in front
  const momentX = pullKN * (at.x - centre.x) - pushXKN * leverMm;
  const momentY = pullKN * (at.y - centre.y) - pushYKN * leverMm;
  const tilt = solveTilt([xx, xy, yy], [momentX, momentY]);
  const twist = (at.x - centre.x) * pushYKN - (at.y - centre.y) * pushXKN;
  const polar = xx + yy;
  if (!tilt || (polar <= NO_SPREAD_MM2 && Math.abs(twist) > TINY)) return { bolts: null };
  const turn = polar > NO_SPREAD_MM2 ? twist / polar : 0;
  return {
    bolts: off.map((p) => ({
      shearKN: Math.hypot(pushXKN / n - turn * p.y, pushYKN / n + turn * p.x),
      tensionKN: Math.max(0, pullKN / n + tilt[0] * p.x + tilt[1] * p.y),
    })),
  };
}

/** Less than this is no moment, kN mm. */
const TINY = 1e-9;

// The plane a dx + b dy whose moments are those asked for; null where the bolts cannot take them.
function solveTilt(
  [xx, xy, yy]: readonly [number, number, number],
  [mx, my]: readonly [number, number],
): readonly [number, number] | null {
  if (Math.abs(mx) <= TINY && Math.abs(my) <= TINY) return [0, 0];
  const det = xx * yy - xy * xy;
  if (det > NO_SPREAD_MM2 * (xx + yy)) return [(mx * yy - my * xy) / det, (my * xx - mx * xy) / det];
  // all in one line: it takes a moment along that line and none across
  const spread = xx + yy;
  if (spread <= NO_SPREAD_MM2) return null;
  const length = Math.sqrt(spread);
  const [ux, uy] =
    xx >= yy
      ? [Math.sqrt(xx) / length, xy / Math.sqrt(xx) / length]
      : [xy / Math.sqrt(yy) / length, Math.sqrt(yy) / length];
  const across = -mx * uy + my * ux;
  if (Math.abs(across) > 1e-6 * Math.hypot(mx, my)) return null;
  const along = (mx * ux + my * uy) / spread;
  return [along * ux, along * uy];
}
