import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import { listHoseCourse } from "../fit/lineLegs";
import { vec } from "../geometry/vec";
import { measureVolumeBelowL } from "../geometry/volumeBelow";
import { listOutHoses, solveLift } from "../heads/lift";
import { buildHullField } from "../hull/hydrostatics";
import { listFittings } from "./fittings";
import { measureFitting } from "./holes";

/** Of the room under the sole so much is free for water; tanks, ballast and frames take the rest [T]. */
const FREE_SHARE = 0.6;

export type Flood = {
  readonly gearId: string;
  /** If its hose comes off at the worst heel and trim, L/min. */
  readonly inLpm: number;
  /** What all bilge pumps send at their lift, L/min. */
  readonly outLpm: number;
  /** Room under the sole, L; null without the hull's sections. */
  readonly roomL: number | null;
  /** Until the sole is wet, with the pumps and without power; null where it never is, or where the room is not known. */
  readonly minutes: number | null;
  readonly minutesWithoutPower: number | null;
};

/**
 * Each skin fitting that lies under water at the worst: what comes in if its hose comes off, against the bilge pumps at
 * their lift from the keel, and how long until it stands over the sole. Flow at the full head all the while, on the safe
 * side [C; free room T].
 */
export function listFloods(design: Design): Flood[] {
  const pumped = design.gear.reduce(
    (sum, { id, spec }) => (spec.kind === "pump" ? sum + pumpBilge(design, id) : sum),
    0,
  );
  const roomL = measureRoomL(design);
  return listFittings(design).flatMap((piece): Flood[] => {
    const inLpm = measureFitting(design, piece).worstLps * 60;
    if (inLpm <= 0) return [];
    const after = (netLpm: number) => (roomL === null || netLpm <= 0 ? null : roomL / netLpm);
    return [
      {
        gearId: piece.id,
        inLpm,
        outLpm: pumped,
        roomL,
        minutes: after(inLpm - pumped),
        minutesWithoutPower: after(inLpm),
      },
    ];
  });
}

// A bilge pump is one whose hoses lead to a skin fitting that serves the bilge; it lifts from the keel.
function pumpBilge(design: Design, pumpId: string): number {
  const hoses = listOutHoses(design, pumpId);
  const ends = new Set(
    hoses.flatMap(({ from, to }) => [from, to]).flatMap((end) => (end.kind === "gear" ? [end.gearId] : [])),
  );
  const isBilge = design.gear.some(
    ({ id, spec }) => ends.has(id) && spec.kind === "skinFitting" && spec.serves === "bilge",
  );
  if (!isBilge) return 0;
  const topZ = Math.max(...hoses.flatMap((hose) => listHoseCourse(design, hose).map(({ z }) => z)));
  return solveLift(design, hoses, topZ - design.rig.groundZMm) ?? 0;
}

function measureRoomL(design: Design): number | null {
  const { hull } = design.rig;
  if (!hull) return null;
  return FREE_SHARE * measureVolumeBelowL(buildHullField(hull, vec(0, 0, 1)), -measureFloorMm(design));
}
