import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear } from "../design/gear";
import { roundTenth } from "../design/moves";
import { listHoseCourse } from "../fit/lineLegs";
import { USUAL_GEAR } from "../gear/usualGear";
import { type Vec3, vec } from "../geometry/vec";
import { measureWorstOverWater, SAFE_OVER_WATER_MM } from "../hull/overWater";
import { cutAt, cutHose } from "./cutHose";

/** Its top stands so far over the worst waterline, mm: what is asked and a little, as she is measured by hand [T]. */
const OVER_WATER_MM = SAFE_OVER_WATER_MM + 30;
/** Where she heels a height counts only so much of itself, at the least [T]. */
const LEAST_COS = Math.cos(Math.PI / 4);
/** And so far over the rim of any bowl or box, that those do not fill over it by themselves, mm [T]. */
const OVER_RIM_MM = 50;

/**
 * Edit that leads a hose over a vented loop: cut at its highest point, the loop there as high as it has to stand and no
 * lower than the hose already goes; null where it is no hose. Where it is to be fixed has to be measured [T].
 */
export function buildInsertLoop(design: Design, hoseId: string, name: string): Edit | null {
  const hose = design.lines.find(({ id }) => id === hoseId);
  if (hose?.kind !== "hose") return null;
  const course = listHoseCourse(design, hose);
  // the ends are ports; between them the highest point is the best place, else the middle
  const inner = hose.pointsMm.map((_, i) => i);
  const top = inner.reduce((a, i) => (course[i + 1]!.z > course[a + 1]!.z ? i : a), 0);
  const [first, last] = [course[0]!, course.at(-1)!];
  const place = hose.pointsMm[top] ?? vec((first.x + last.x) / 2, (first.y + last.y) / 2, Math.max(first.z, last.z));
  const { sizeMm } = USUAL_GEAR.ventedLoop;
  const atMm = roundTenth(vec(place.x, place.y - sizeMm.y / 2, findTopMm(design, place) - sizeMm.z));
  const id = freeId("loop", design.gear);
  const loop: Gear = { id, name, atMm, ...USUAL_GEAR.ventedLoop };
  return {
    code: "fitLoop",
    at: { kind: "gear", id },
    ops: cutHose(design, hose, cutAt(top), loop, ["in", "out"]),
  };
}

function findTopMm(design: Design, place: Vec3): number {
  const rims = design.gear.flatMap(({ spec, atMm, sizeMm }) =>
    spec.kind === "bowl" || spec.kind === "sump" ? [atMm.z + sizeMm.z + OVER_RIM_MM] : [],
  );
  const { overMm } = measureWorstOverWater(design, place);
  const overWater = Number.isFinite(overMm) ? place.z + (OVER_WATER_MM - overMm) / LEAST_COS : place.z;
  return Math.max(place.z, overWater, ...rims);
}
