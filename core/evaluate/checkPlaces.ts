import type { Design } from "../design/design";
import type { FixtureKind } from "../design/plumbing";
import type { RigKind } from "../design/rig";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** How far beyond the edge of the floor an outlet may be, mm: a wall's thickness; lockers outboard of a boat's sole [T]. */
const BEYOND_FLOOR_MM: Readonly<Record<RigKind, number>> = { van: 150, bus: 150, trailer: 150, boat: 1_500 };
/** What is used from outside may hang on the outside, mm [T]. */
const OUTSIDE_MM = 800;
/** No fixture's waste is higher over the floor, mm [T]. */
const HIGHEST_MM = 2_200;

const isUsedOutside = (kind: FixtureKind): boolean => kind === "outsideShower";

/** Fixtures that stand where no rig is: measured from another edge, or with a figure too many. */
export function checkPlaces({ rig, fixtures }: Design): Finding[] {
  return fixtures.flatMap(({ id, kind, outletMm: { x, y, z } }): Finding[] => {
    const allowedMm = isUsedOutside(kind) ? OUTSIDE_MM : BEYOND_FLOOR_MM[rig.kind];
    const asideMm = Math.max(-x, x - rig.lengthMm, Math.abs(y) - rig.widthMm / 2);
    const aboveMm = z - HIGHEST_MM;
    if (asideMm <= allowedMm && aboveMm <= 0) return [];
    const isAbove = asideMm <= allowedMm;
    const numbers = { code: "fixtureOutside", byMm: isAbove ? aboveMm : asideMm, isAbove } as const;
    return [createFinding({ kind: "fixture", id }, numbers)];
  });
}
