import type { Design } from "../design/design";
import { listPoints } from "../design/linePoints";
import type { PartRef } from "../design/part";
import type { FixtureKind } from "../design/plumbing";
import type { Rig, RigKind } from "../design/rig";
import { toTankBlock } from "../fit/obstacleGaps";
import { add, type Vec3 } from "../geometry/vec";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** How far beyond the edge of the floor an outlet may be, mm: a wall's thickness; lockers outboard of a boat's sole [T]. */
const BEYOND_FLOOR_MM: Readonly<Record<RigKind, number>> = { van: 150, bus: 150, trailer: 150, boat: 1_500 };
/** What is used from outside may hang on the outside, mm [T]. */
const OUTSIDE_MM = 800;
/** No fixture's waste is higher over the floor, mm [T]. */
const HIGHEST_MM = 2_200;

const isUsedOutside = (kind: FixtureKind): boolean => kind === "outsideShower";

/** Tanks, gear and pipes may hang on the outside, behind a bumper or on a drawbar; further off there is no rig, mm [T]. */
const OFF_RIG_MM: Readonly<Record<RigKind, number>> = { van: 800, bus: 800, trailer: 1_500, boat: 1_500 };

/** At the sides of a rig for the road there is the wall, and what is clipped to it, mm beyond the floor; then traffic [T]. */
const SIDE_MM = 200;

/** What stands where no rig is: measured from another edge, or with a figure too many. */
export const checkPlaces = (design: Design): Finding[] => [...checkFixtures(design), ...checkParts(design)];

function checkParts({ rig, tanks, gear, lines }: Design): Finding[] {
  const allowed = findAllowed(rig);
  const measureOff = ({ x, y }: Pick<Vec3, "x" | "y">): number =>
    x < allowed.minX || x > allowed.maxX || Math.abs(y) > allowed.halfY
      ? Math.max(-x, x - rig.lengthMm, Math.abs(y) - rig.widthMm / 2)
      : 0;
  const findings: Finding[] = [];
  const tell = (at: PartRef, points: readonly Pick<Vec3, "x" | "y">[]) => {
    let [byMm, asideMm] = [0, 0];
    for (const point of points) {
      byMm = Math.max(byMm, measureOff(point));
      asideMm = Math.max(asideMm, Math.abs(point.y) - rig.widthMm / 2);
    }
    if (byMm > 0) findings.push(createFinding(at, { code: "partOutside", byMm }));
    else if (rig.kind !== "boat" && asideMm > SIDE_MM)
      findings.push(createFinding(at, { code: "partSticksOut", byMm: asideMm }));
  };
  for (const tank of tanks) {
    const { min, max } = toTankBlock(tank);
    tell({ kind: "tank", id: tank.id }, [min, max]);
  }
  for (const { id, atMm, sizeMm } of gear) tell({ kind: "gear", id }, [atMm, add(atMm, sizeMm)]);
  for (const line of lines) tell({ kind: "line", id: line.id }, listPoints(line));
  return findings;
}

// A boat whose sections are known ends where they do, if that is further off than lockers reach.
function findAllowed({ kind, lengthMm, widthMm, hull }: Rig) {
  const off = OFF_RIG_MM[kind];
  const sections = kind === "boat" && hull ? hull.sections : [];
  return {
    minX: Math.min(-off, ...sections.map(({ xMm }) => xMm)),
    maxX: Math.max(lengthMm + off, ...sections.map(({ xMm }) => xMm)),
    halfY: Math.max(widthMm / 2 + off, ...sections.flatMap(({ pointsMm }) => pointsMm.map(({ y }) => y))),
  };
}

function checkFixtures({ rig, fixtures }: Design): Finding[] {
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
