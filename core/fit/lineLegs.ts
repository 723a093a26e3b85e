import { listOwnCourse } from "../air/ventPath";
import type { Design } from "../design/design";
import type { HoseEnd } from "../design/gear";
import { findInsulationMm } from "../design/lagging";
import { findNode } from "../design/nodes";
import type { Drain, DumpLine, Hose, Line } from "../design/plumbing";
import { buildDrainPath, buildLeg, type Leg } from "../falls/drainPath";
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

/** The course of a dump line from its outlet to its end, or to the point of the one it joins, by its inverts. */
export const listDumpCourse = (
  { tanks, lines }: Pick<Design, "tanks" | "lines">,
  { fromTank, fromPort, pointsMm, to }: DumpLine,
): readonly Vec3[] => {
  const tank = tanks.find(({ id }) => id === fromTank)!;
  const outletMm = add(tank.atMm, tank.ports.find(({ id }) => id === fromPort)!.atMm);
  if (to.kind === "coupling") return [outletMm, ...pointsMm];
  const main = lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.id === to.lineId)!;
  return [outletMm, ...pointsMm, main.pointsMm[findNode(main, to.node)]!];
};

/** The legs of any line as it lies: of a drain those before it joins another one. */
export const listOwnLegs = (design: Design, line: Line): readonly Leg[] =>
  line.kind === "drain" ? buildDrainPath(design, line).ownLegs : listLineLegs(design, line);

/**
 * The legs of a breather, a hose or a dump line, so that they are held against what is in the way, and drilled for, like a
 * drain's. A leg is given by its invert; points of breathers and hoses are the middle of the pipe, those of dump lines are
 * inverts. None for a drain, which has a path of its own.
 */
export function listLineLegs(design: Design, line: Line): readonly Leg[] {
  if (line.kind === "drain") return [];
  // a breather or a dump line may end on another one; drains change nothing of it
  const others = line.kind === "hose" ? [] : design.lines.filter(({ kind }) => kind === line.kind);
  return recallLegs(line, [design.tanks, design.gear, ...others], () => {
    const course = listCourse(design, line);
    const lowerMm = line.kind === "dumpLine" ? 0 : line.pipe.innerMm / 2;
    const toInvert = (p: Vec3): Vec3 => vec(p.x, p.y, p.z - lowerMm);
    return course.slice(1).map((to, index) =>
      buildLeg(
        toInvert(course[index]!),
        toInvert(to),
        {
          lineId: line.id,
          index,
          pipe: line.pipe,
          inflowLps: 0,
          surgeLps: 0,
        },
        findInsulationMm(line),
      ),
    );
  });
}

const recallLegs = createRecall<Line, readonly Leg[]>();

/** The course of a line that is no drain, by the points it is given with. */
export function listCourse(design: Design, line: Exclude<Line, Drain>): readonly Vec3[] {
  switch (line.kind) {
    case "vent":
      return listOwnCourse(design, line);
    case "hose":
      return listHoseCourse(design, line);
    case "dumpLine":
      return listDumpCourse(design, line);
  }
}
