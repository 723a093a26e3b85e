import type { Design } from "../design/design";
import type { Rig } from "../design/rig";
import { toBlock } from "../fit/obstacleBlock";
import { measureInMm } from "../fit/rigSides";
import { findRole } from "../fit/roles";
import type { Block } from "../geometry/blocks";
import { interpolate, measureLength, subtract, type Vec3 } from "../geometry/vec";
import { createRecall } from "../quantity/recall";

/** A hose this near to a wall is fixed to it and out of the way, mm [T]. */
export const ALONG_WALL_MM = 150;
/** People and their knees are between the floor and this, mm [T]. */
export const HEADROOM_MM = 2_000;
const STEP_MM = 20;

/**
 * Length, mm ≥ 0, of a course that runs free through the room people live in: over the floor, away from the walls and in no
 * cabinet, seat or locker. Sampled every 20 mm [C on T].
 */
export const measureInRoomMm = (design: Pick<Design, "rig" | "obstacles">, course: readonly Vec3[]): number =>
  recallRoom(course, [design.rig, design.obstacles], () => sumInRoom(design, course));

/** No roof or deck is lower over the floor or the sole than this, mm: what ends higher may have gone out through it [T]. */
export const LOWEST_ROOF_MM = { boat: 900, other: 1_200 } as const;

/**
 * Whether a place is inside for certain, where people live: over the floor, or in a boat's bilge, under the lowest roof there is,
 * and further from the walls than what goes out through one; in a cabinet it is inside too [C on T].
 */
export const isIndoors = ({ rig }: Pick<Design, "rig">, p: Vec3): boolean =>
  rig.kind === "boat"
    ? isBetween(rig, p, Number.NEGATIVE_INFINITY, LOWEST_ROOF_MM.boat)
    : isBetween(rig, p, 0, LOWEST_ROOF_MM.other);

const isBetween = (rig: Rig, p: Vec3, lowMm: number, roofMm: number): boolean =>
  p.z > lowMm && p.z < roofMm && measureInMm(rig, p) > ALONG_WALL_MM;

const recallRoom = createRecall<readonly Vec3[], number>();

function sumInRoom({ rig, obstacles }: Pick<Design, "rig" | "obstacles">, course: readonly Vec3[]): number {
  const covers = obstacles
    .filter(({ kind }) => findRole(kind) === "cabinet" || kind === "seat" || kind === "wheelArch")
    .map(toBlock);
  const isFree = (p: Vec3): boolean => isBetween(rig, p, 0, HEADROOM_MM) && !covers.some((cover) => isInside(p, cover));
  return course.slice(1).reduce((sum, to, i) => {
    const from = course[i]!;
    const lengthMm = measureLength(subtract(to, from));
    const steps = Math.max(1, Math.ceil(lengthMm / STEP_MM));
    let free = 0;
    for (let k = 0; k < steps; k++) if (isFree(interpolate(from, to, (k + 0.5) / steps))) free += 1;
    return sum + (lengthMm * free) / steps;
  }, 0);
}

function isInside(p: Vec3, { min, max }: Block): boolean {
  return p.x >= min.x && p.x <= max.x && p.y >= min.y && p.y <= max.y && p.z >= min.z && p.z <= max.z;
}
