import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/edit";
import { freeId } from "../design/freeId";
import { roundTenth } from "../design/moves";
import type { DumpLine, Port, Tank } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";
import { add, type Vec3, vec } from "../geometry/vec";
import { findWastePipe } from "../parts/pipes";
import { degToRad } from "../quantity/convert";
import { findDumpLine, lookUpDumpFall } from "../tanks/dumpRun";

/** The end stands so far in from the edge of the rig, where a hand and a hose reach it and nothing knocks it, mm [T]. */
const IN_FROM_EDGE_MM = 60;
/** Fall of a dump line as it is laid first, more than the least so that a lean does not eat it, m/m [T]. */
const LAID_FALL = 0.03;

/**
 * Edit that lays a dump line from an outlet to the nearer side of the rig, or to the rear where that is nearer, of pipe as
 * wide as the outlet, falling all the way. Null where the outlet has one.
 */
export function buildAddDumpLine(design: Design, tank: Tank, outlet: Port): Edit | null {
  if (findDumpLine(design, tank.id, outlet.id)) return null;
  const id = freeId(`${tank.id}-dump`.slice(0, 36), design.lines);
  const line: DumpLine = {
    id,
    name: `Dump line of ${tank.name}`.slice(0, 80),
    kind: "dumpLine",
    fromTank: tank.id,
    fromPort: outlet.id,
    to: { kind: "coupling" },
    pipe: findWastePipe(outlet.boreMm),
    pointsMm: layToEdge(design, tank, outlet).map(roundTenth),
    endValve: null,
  };
  return {
    code: "addDumpLine",
    at: { kind: "line", id },
    ops: [{ op: "insert", path: ["lines"], index: design.lines.length, value: line }],
  };
}

/** Edit that takes a dump line out; the outlet and its valve stay. */
export const buildRemoveDumpLine = ({ id, fromTank }: DumpLine): Edit => ({
  code: "removeDumpLine",
  at: { kind: "tank", id: fromTank },
  ops: [{ op: "remove", path: ["lines", id] }],
});

/** Edit that fits a hand valve as wide as the outlet right at the tank; null where the outlet has one or is gone. */
export function buildFitDumpValve(design: Design, { fromTank, fromPort }: DumpLine): Edit | null {
  const tank = design.tanks.find(({ id }) => id === fromTank);
  const outlet = tank?.ports.find(({ id }) => id === fromPort);
  if (!outlet || outlet.valve) return null;
  const path = ["tanks", fromTank, "ports", fromPort, "valve"];
  return {
    code: "fitDumpValve",
    at: { kind: "port", tankId: fromTank, id: fromPort },
    ops: [{ op: "set", path, value: { kind: "manual", boreMm: outlet.boreMm } }],
  };
}

// Out of the wall the outlet sits in, past the tank, then straight to the edge; an outlet in the bottom goes down first.
function layToEdge({ rig }: Design, tank: Tank, outlet: Port): Vec3[] {
  const { min, max } = measureExtent(tank.solid);
  const from = add(tank.atMm, outlet.atMm);
  const out = Math.max(80, outlet.fittingMm + 40);
  const isAt = (a: number, b: number) => Math.abs(a - b) <= 1;
  const { x, y, z } = outlet.atMm;
  const foot = isAt(x, min.x)
    ? vec(from.x - out, from.y, from.z)
    : isAt(x, max.x)
      ? vec(from.x + out, from.y, from.z)
      : isAt(y, min.y)
        ? vec(from.x, from.y - out, from.z)
        : isAt(y, max.y)
          ? vec(from.x, from.y + out, from.z)
          : vec(from.x, from.y, from.z - (isAt(z, min.z) ? out / 2 : 0));
  const side = foot.y < 0 ? -1 : 1;
  const sideY = side * Math.max(Math.abs(foot.y), rig.widthMm / 2 - IN_FROM_EDGE_MM);
  const toSide = Math.abs(sideY - foot.y);
  const end =
    foot.x - IN_FROM_EDGE_MM < toSide && foot.x > IN_FROM_EDGE_MM
      ? vec(IN_FROM_EDGE_MM, foot.y, foot.z)
      : vec(foot.x, sideY, foot.z);
  return layFalling(from, [foot, end], LAID_FALL);
}

/** The same points with heights that fall evenly from the first, in the rig's own frame; a drop that is there stays one. */
function layFalling(from: Vec3, points: readonly Vec3[], fall: number): Vec3[] {
  let [before, z] = [from, from.z];
  return points.map((p) => {
    const planMm = Math.hypot(p.x - before.x, p.y - before.y);
    z = Math.min(z - planMm * fall, z - (before.z - p.z > planMm ? before.z - p.z : 0));
    before = p;
    return vec(p.x, p.y, z);
  });
}

/** Edit that lays a dump line anew over the same points at the least fall its rule asks for, as the rig stands to dump. */
export function buildRegradeDumpLine(design: Design, line: DumpLine): Edit | null {
  const tank = design.tanks.find(({ id }) => id === line.fromTank);
  const outlet = tank?.ports.find(({ id }) => id === line.fromPort);
  if (!tank || !outlet) return null;
  const { pitchDeg, rollDeg } = design.rig.dumpAttitude;
  // the lean may eat as much of it as it is steep
  const eaten = Math.tan(degToRad(Math.hypot(pitchDeg, rollDeg)));
  const fall = (lookUpDumpFall(design, line).value ?? 0) / 1000 + eaten + 0.001;
  const pointsMm = layFalling(add(tank.atMm, outlet.atMm), line.pointsMm, fall).map(roundTenth);
  const ops: EditOp[] = [{ op: "set", path: ["lines", line.id, "pointsMm"], value: pointsMm }];
  return { code: "regradeDumpLine", at: { kind: "line", id: line.id }, ops };
}
