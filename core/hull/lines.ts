import type { Hull } from "../design/rig";
import { type Vec3, vec } from "../geometry/vec";
import { findHalfBreadthMm, sectionAt } from "./loft";

/** Places along her at which a line is drawn. */
const PLACES = 48;

const listPlaces = ({ sections }: Hull): number[] => {
  const [first, last] = [sections[0]!.xMm, sections.at(-1)!.xMm];
  return Array.from({ length: PLACES + 1 }, (_, i) => (i === PLACES ? last : first + ((last - first) * i) / PLACES));
};

/** Her outline at a height, port from stern to bow and back along starboard; where she is narrower than nothing it is left out. */
export function listWaterline(hull: Hull, zMm: number): Vec3[] {
  const port = listPlaces(hull).flatMap((x) => {
    const half = findHalfBreadthMm(hull, x, zMm);
    return half === null ? [] : [vec(x, half, zMm)];
  });
  return [...port, ...[...port].reverse().map(({ x, y, z }) => vec(x, -y, z))];
}

/** Her keel or her sheer from stern to bow. */
export const listProfile = (hull: Hull, which: "keel" | "sheer"): Vec3[] =>
  listPlaces(hull).flatMap((x) => {
    const section = sectionAt(hull, x);
    const point = which === "keel" ? section?.[0] : section?.at(-1);
    return point ? [vec(x, point.y, point.z)] : [];
  });

/** Her outline from above at the sheer. */
export function listSheer(hull: Hull): Vec3[] {
  const port = listProfile(hull, "sheer");
  return [...port, ...[...port].reverse().map(({ x, y, z }) => vec(x, -y, z))];
}
