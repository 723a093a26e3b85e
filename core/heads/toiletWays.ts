import type { Design } from "../design/design";
import type { Drain, Fixture } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { type Vec3, vec } from "../geometry/vec";
import { TOILETS } from "./toiletKinds";

/** A toilet that stands over its drain, as it is drawn to scale. */
export type ToiletWay = {
  readonly fixture: Fixture;
  /** What it takes of the room: its lowest, rearmost, rightmost corner and its size, mm. */
  readonly atMm: Vec3;
  readonly sizeMm: Vec3;
  /** From its outlet to where it ends; empty where it has no drain. */
  readonly courseMm: readonly Vec3[];
  readonly boreMm: number;
  /** Where the vessel stands that it runs into, at the middle of its top; null where it ends elsewhere. */
  readonly vesselMm: Vec3 | null;
};

/** Width and length of a toilet of usual make, mm [T]. */
const WIDE_MM = 380;
const LONG_MM = 450;

/** The toilets that are fixtures, with the way of what falls through them. */
export function listToiletWays(design: Design): ToiletWay[] {
  const network = buildNetwork(design);
  return design.fixtures.flatMap((fixture): ToiletWay[] => {
    if (fixture.kind !== "gravityToilet" && fixture.kind !== "urineDiverter") return [];
    const { outletMm } = fixture;
    const seatMm = TOILETS[fixture.kind === "gravityToilet" ? "gravity" : "diverting"].seatMm;
    // it stands on the floor, unless its outlet lies under that
    const bottom = Math.min(0, outletMm.z);
    const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === fixture.id);
    const path = drain ? buildDrainPath(design, drain, network) : null;
    const end = path?.chain.at(-1)?.to;
    return [
      {
        fixture,
        atMm: vec(outletMm.x - LONG_MM / 2, outletMm.y - WIDE_MM / 2, bottom),
        sizeMm: vec(LONG_MM, WIDE_MM, Math.max(seatMm, outletMm.z + fixture.rimMm) - bottom),
        courseMm: path ? [outletMm, ...path.nodesMm] : [],
        boreMm: path?.pipe.innerMm ?? 0,
        vesselMm: end?.kind === "vessel" ? end.atMm : null,
      },
    ];
  });
}
