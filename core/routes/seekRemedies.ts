import { listOwnCourse } from "../air/ventPath";
import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { roundTenth } from "../design/moves";
import { toNodes } from "../design/nodes";
import type { Drain, Hose, Line, Vent } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import type { Finding } from "../evaluate/findings";
import { listHoseCourse } from "../fit/lineLegs";
import type { Vec3 } from "../geometry/vec";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { findLineId, proveRemedies, sortBringing } from "../remedies/proveRemedies";
import type { MoveWay, ProvenRemedy, Remedy } from "../remedies/remedy";
import { findRoutes, type RouteChange } from "./findRoutes";
import { listSquareWays } from "./squareWays";

/**
 * What settles a finding: the simple changes, and where none of them does without something new, the line it is told against laid another
 * way as well. Each was tried on the design; an empty list means that no change that was tried helps.
 */
export function seekRemedies(design: Design, evaluation: Evaluation, finding: Finding): ProvenRemedy[] {
  const simple = proposeRemedies(design, evaluation, finding);
  if (simple.some(({ newFindings }) => newFindings === 0)) return simple;
  const line = findLine(design, finding);
  const ways = line ? proveRemedies(design, evaluation, finding, listOtherWays(design, line)) : [];
  return sortBringing([...simple, ...ways]);
}

const findLine = ({ lines }: Design, finding: Finding): Line | undefined => {
  const { at } = finding;
  const id = findLineId(finding);
  return lines.find((line) =>
    at.kind === "fixture" ? line.kind === "drain" && line.fromFixture === at.id : line.id === id,
  );
};

function listOtherWays(design: Design, line: Line): Remedy[] {
  switch (line.kind) {
    case "drain":
      return listDrainWays(design, line);
    case "hose": {
      const course = listHoseCourse(design, line);
      return listCourseWays(design, line, course[0]!, course.at(-1)!);
    }
    case "vent": {
      const course = listOwnCourse(design, line);
      return listCourseWays(design, line, course[0]!, course.at(-1)!);
    }
    case "dumpLine":
      return [];
  }
}

/** Which way a change of what stands at an end of a drain moves it. */
const MOVES: Readonly<Record<RouteChange["kind"], MoveWay>> = {
  lowerTank: "down",
  raiseOutlet: "up",
  moveForward: "forward",
  moveAft: "aft",
  moveLeft: "left",
  moveRight: "right",
};

function listDrainWays(design: Design, drain: Drain): Remedy[] {
  const found = findRoutes(design, drain.id);
  const at = { kind: "line", id: drain.id } as const;
  return [
    ...(found?.proposals ?? []).map(({ edit }): Remedy => ({ byMm: null, edit })),
    ...(found?.changes ?? []).map(({ edit, kind, byMm }): Remedy => {
      return { byMm, way: MOVES[kind], edit: { ...edit, code: "reroute", at } };
    }),
  ];
}

/** So many ways of a hose or a breather are tried. */
const MOST_WAYS = 24;
/** Rise of a breather's level pieces, m/m: more than a rig is parked askew [T]. */
const STEEP = 0.08;

function listCourseWays(design: Design, line: Hose | Vent, from: Vec3, to: Vec3): Remedy[] {
  const at = { kind: "line", id: line.id } as const;
  return listSquareWays(design, line, from, to, MOST_WAYS).map((points): Remedy => {
    const laid = line.kind === "vent" ? [...raise([from, ...points, to]).slice(1, -1), ...keepEnd(line)] : points;
    const ops: EditOp[] = [{ op: "set", path: ["lines", line.id, "pointsMm"], value: toNodes(laid.map(roundTenth)) }];
    return { byMm: null, edit: { code: "reroute", at, ops } };
  });
}

// A breather that ends in the open has its end among its points.
const keepEnd = ({ to, pointsMm }: Vent): readonly Vec3[] => (to.kind === "openAir" ? pointsMm.slice(-1) : []);

// What lies level rises, so that no dip is left in it; its end stays where it is.
function raise(course: readonly Vec3[]): Vec3[] {
  const endZ = course.at(-1)!.z;
  let last = course[0]!;
  return course.map((p) => {
    const z = Math.max(p.z, Math.min(endZ, last.z + STEEP * Math.hypot(p.x - last.x, p.y - last.y)));
    last = { ...p, z: p === course[0] ? p.z : z };
    return last;
  });
}
