import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import { roundTenth } from "../design/moves";
import { findNode, toNewNode, toNodes } from "../design/nodes";
import type { DumpLine, Port, Tank } from "../design/plumbing";
import { add, measureLength, subtract, type Vec3 } from "../geometry/vec";
import { findWastePipe } from "../parts/pipes";
import { findDumpLine } from "../tanks/dumpRun";
import { listDumpBranches, listDumpLinesToJoin } from "../tanks/dumpWays";
import { findLaidFall, layFalling, layToEdge, layToLine } from "./dumpCourse";

/**
 * Edit that lays a dump line from an outlet to the nearest edge of the rig it reaches without touching anything, of pipe as
 * wide as the outlet, falling all the way. Null where the outlet has one.
 */
export function buildAddDumpLine(design: Design, tank: Tank, outlet: Port): Edit | null {
  if (findDumpLine(design, tank.id, outlet.id)) return null;
  const id = freeId(`${tank.id}-dump`.slice(0, 36), design.lines);
  const pipe = findWastePipe(outlet.boreMm);
  const line: DumpLine = {
    id,
    name: `Dump line of ${tank.name}`.slice(0, 80),
    kind: "dumpLine",
    fromTank: tank.id,
    fromPort: outlet.id,
    to: { kind: "coupling" },
    pipe,
    pointsMm: toNodes(layToEdge(design, tank, outlet, pipe).map(roundTenth)),
    endValve: null,
  };
  return {
    code: "addDumpLine",
    at: { kind: "line", id },
    ops: [{ op: "insert", path: ["lines"], index: design.lines.length, value: line }],
  };
}

/** Edit that leads a dump line on its own coupling anew, to the nearest edge it reaches; null where it joins another one. */
export function buildLeadDumpLineOut(design: Design, lineId: string): Edit | null {
  const line = findIn(design, lineId);
  const from = line && findOutlet(design, line);
  if (line?.to.kind !== "coupling" || !from) return null;
  const value = layToEdge(design, from.tank, from.outlet, line.pipe).map(roundTenth);
  return {
    code: "addDumpLine",
    at: { kind: "line", id: lineId },
    ops: [{ op: "set", path: ["lines", lineId, "pointsMm"], value }],
  };
}

/** Edit that takes a dump line out; the outlet and its valve stay, and what joined it goes on by itself. */
export const buildRemoveDumpLine = (design: Design, { id, fromTank }: DumpLine): Edit => ({
  code: "removeDumpLine",
  at: { kind: "tank", id: fromTank },
  ops: [...listPartings(design, id), { op: "remove", path: ["lines", id] }],
});

/** What lets the dump lines that join one go on to couplings of their own. */
export const listPartings = (design: Design, mainId: string): EditOp[] =>
  listDumpBranches(design, mainId).flatMap(({ id }) => buildOpenDumpLine(design, id)?.ops ?? []);

const findIn = ({ lines }: Design, lineId: string): DumpLine | null =>
  lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.id === lineId) ?? null;

const findOutlet = (
  { tanks }: Design,
  { fromTank, fromPort }: Pick<DumpLine, "fromTank" | "fromPort">,
): { tank: Tank; outlet: Port } | null => {
  const tank = tanks.find(({ id }) => id === fromTank);
  const outlet = tank?.ports.find(({ id }) => id === fromPort);
  return tank && outlet ? { tank, outlet } : null;
};

/** Edit that leads a dump line that joins another one to a coupling of its own; null where it has one. */
export function buildOpenDumpLine(design: Design, lineId: string): Edit | null {
  const line = findIn(design, lineId);
  const from = line && findOutlet(design, line);
  if (line?.to.kind !== "wye" || !from) return null;
  const course = layToEdge(design, from.tank, from.outlet, line.pipe).map(roundTenth);
  return {
    code: "openDumpLine",
    at: { kind: "line", id: lineId },
    ops: [
      { op: "set", path: ["lines", lineId, "pointsMm"], value: course },
      { op: "set", path: ["lines", lineId, "to"], value: { kind: "coupling" } },
    ],
  };
}

/**
 * Edit that lets a dump line end by a wye in another one, at the place that is reached with fall, with the flow and by the
 * shortest way that keeps clear; null where one of them is not there, or the other runs through it.
 */
export function buildJoinDumpLine(design: Design, lineId: string, mainId: string): Edit | null {
  const [line, main] = [findIn(design, lineId), findIn(design, mainId)];
  const from = line && findOutlet(design, line);
  if (!line || !main || !from || !listDumpLinesToJoin(design, line).includes(main)) return null;
  const { pointsMm, atMm, leg } = layToLine(design, from.tank, from.outlet, line.pipe, main);
  const near = main.pointsMm.slice(0, -1).find((p) => measureLength(subtract(p, atMm)) < SAME_PLACE_MM);
  const value = near ?? toNewNode(main, atMm);
  return {
    code: "joinDumpLine",
    at: { kind: "line", id: lineId },
    ops: [
      ...(near ? [] : [{ op: "insert", path: ["lines", main.id, "pointsMm"], index: leg, value } as const]),
      { op: "set", path: ["lines", lineId, "pointsMm"], value: pointsMm },
      { op: "set", path: ["lines", lineId, "to"], value: { kind: "wye", lineId: main.id, node: value.id } },
    ],
  };
}

/** A point this near serves as the place for a wye, mm. */
const SAME_PLACE_MM = 60;

/** Edit that fits a hand valve as wide as the outlet right at the tank; null where the outlet has one or is gone. */
export function buildFitDumpValve(design: Design, line: Pick<DumpLine, "fromTank" | "fromPort">): Edit | null {
  const from = findOutlet(design, line);
  if (!from || from.outlet.valve) return null;
  const { tank, outlet } = from;
  return {
    code: "fitDumpValve",
    at: { kind: "port", tankId: tank.id, id: outlet.id },
    ops: [
      {
        op: "set",
        path: ["tanks", tank.id, "ports", outlet.id, "valve"],
        value: { kind: "manual", boreMm: outlet.boreMm },
      },
    ],
  };
}

/** Points are kept to a tenth of a millimetre; so much more keeps a short leg over its limit, m/m. */
const ROUNDING = 0.001;

/**
 * Edit that lays a dump line anew over the same points at the least fall its rule asks for, as the rig stands to dump. Null
 * where the point it joins another one at lies too high for that.
 */
export function buildRegradeDumpLine(design: Design, line: DumpLine): Edit | null {
  const from = findOutlet(design, line);
  if (!from) return null;
  const outletMm = add(from.tank.atMm, from.outlet.atMm);
  const fall = findLaidFall(design, line.pipe) + ROUNDING;
  const pointsMm = layFalling(outletMm, line.pointsMm, fall).map(roundTenth);
  const joinsMm = findWyeMm(design, line);
  const last: Vec3 = pointsMm.at(-1) ?? outletMm;
  if (joinsMm && last.z - joinsMm.z < Math.hypot(joinsMm.x - last.x, joinsMm.y - last.y) * fall) return null;
  const ops: EditOp[] = [{ op: "set", path: ["lines", line.id, "pointsMm"], value: pointsMm }];
  return { code: "regradeDumpLine", at: { kind: "line", id: line.id }, ops };
}

function findWyeMm(design: Design, { to }: DumpLine): Vec3 | null {
  if (to.kind !== "wye") return null;
  const main = findIn(design, to.lineId);
  return main?.pointsMm[findNode(main, to.node)] ?? null;
}
