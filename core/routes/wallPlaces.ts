import type { Design } from "../design/design";
import { type Vec3, vec } from "../geometry/vec";

const FROM_WALL_MM = 60;
const STEP_MM = 300;
/** Each place is judged by a whole evaluation; so many are looked at, at most. */
const MOST = 24;

/**
 * Places for what stands along a wall: lowest, rearmost, rightmost corners on the floor, mm, along the left and the right wall;
 * the nearest to a place given first, else from the rear on.
 */
export function listWallPlaces(
  { rig: { lengthMm, widthMm } }: Pick<Design, "rig">,
  { longMm, wideMm }: { readonly longMm: number; readonly wideMm: number },
  near: Vec3 | null = null,
): Vec3[] {
  const places: Vec3[] = [];
  for (let x = FROM_WALL_MM; x + longMm + FROM_WALL_MM <= lengthMm; x += STEP_MM) {
    for (const y of [widthMm / 2 - wideMm - FROM_WALL_MM, -widthMm / 2 + FROM_WALL_MM]) places.push(vec(x, y, 0));
  }
  if (near) {
    const away = ({ x, y }: Vec3) => Math.hypot(x + longMm / 2 - near.x, y + wideMm / 2 - near.y);
    places.sort((a, b) => away(a) - away(b));
  }
  return places.slice(0, MOST);
}
