import { listOwnCourse } from "../air/ventPath";
import type { Design } from "../design/design";
import type { HoseEnd } from "../design/gear";
import type { Hose, Line } from "../design/plumbing";
import { buildLeg, type Leg } from "../falls/drainPath";
import { placeGearPort } from "../gear/gearPorts";
import { add, type Vec3, vec } from "../geometry/vec";
import { createRecall } from "../quantity/recall";

/** Where an end of a hose is, mm in the rig frame; the design has passed its check, so it is there. */
export function placeHoseEnd({ gear, tanks }: Pick<Design, "gear" | "tanks">, end: HoseEnd): Vec3 {
  if (end.kind === "gear") return placeGearPort(gear.find(({ id }) => id === end.gearId)!, end.port);
  const tank = tanks.find(({ id }) => id === end.tankId)!;
  return add(tank.atMm, tank.ports.find(({ id }) => id === end.portId)!.atMm);
}

/** The course of a hose from end to end, by its middle line. */
export const listHoseCourse = (design: Pick<Design, "gear" | "tanks">, { from, to, pointsMm }: Hose): Vec3[] => [
  placeHoseEnd(design, from),
  ...pointsMm,
  placeHoseEnd(design, to),
];

/**
 * The legs of a breather or a hose, so that they are held against what is in the way, and drilled for, like a drain's.
 * Points are taken as the middle of the pipe; a leg is given by its invert. None for a drain, which has a path of its own.
 */
export function listLineLegs(design: Design, line: Line): readonly Leg[] {
  if (line.kind === "drain") return [];
  // a breather may end on another one; drains change nothing of it
  const vents = line.kind === "vent" ? design.lines.filter(({ kind }) => kind === "vent") : [];
  return recallLegs(line, [design.tanks, design.gear, ...vents], () => {
    const course = line.kind === "vent" ? listOwnCourse(design, line) : listHoseCourse(design, line);
    const toInvert = (p: Vec3): Vec3 => vec(p.x, p.y, p.z - line.pipe.innerMm / 2);
    return course.slice(1).map((to, index) =>
      buildLeg(toInvert(course[index]!), toInvert(to), {
        lineId: line.id,
        index,
        pipe: line.pipe,
        inflowLps: 0,
        surgeLps: 0,
      }),
    );
  });
}

const recallLegs = createRecall<Line, readonly Leg[]>();
