import type { Design } from "./design";
import type { EditOp } from "./edit";
import type { Drain, Line, Vent } from "./plumbing";

type Shift = (at: number) => number;

/**
 * Keeps what is tied to a bend at its bend when one is put in or taken out before it: drains that join there, tees of
 * other breathers, changes of pipe and a trap in the line. What was tied to the very bend that is taken out goes to the
 * one before it, or to the one that is first then; a change of pipe or a trap goes with its bend.
 */
export function followBends(design: Design, op: EditOp): Design {
  const [list, key, points, bend] = op.path;
  if (list !== "lines" || (points !== "bendsMm" && points !== "pointsMm")) return design;
  const id = typeof key === "number" ? design.lines[key]?.id : key;
  const shift = toShift(op, bend);
  if (id === undefined || !shift) return design;
  const gone = op.op === "remove" ? (bend as number) : -1;
  const lines = design.lines.map((line) => {
    if (line.id === id) return line.kind === "drain" ? followOwn(line, shift, gone) : line;
    if (line.kind === "drain") return followJunction(line, id, shift);
    return line.kind === "vent" ? followTee(line, id, shift) : line;
  });
  return lines.some((line, i) => line !== design.lines[i]) ? { ...design, lines } : design;
}

function followJunction(line: Drain, id: string, shift: Shift): Line {
  if (line.to.kind !== "junction" || line.to.lineId !== id) return line;
  const bend = shift(line.to.bend);
  return bend === line.to.bend ? line : { ...line, to: { ...line.to, bend } };
}

function followTee(line: Vent, id: string, shift: Shift): Line {
  if (line.to.kind !== "tee" || line.to.lineId !== id) return line;
  const point = shift(line.to.point);
  return point === line.to.point ? line : { ...line, to: { ...line.to, point } };
}

function followOwn(line: Drain, shift: Shift, gone: number): Line {
  if (line.changes.length === 0 && !line.lineTrap && line.holes.length === 0) return line;
  const changes = line.changes.filter((c) => c.bend !== gone).map((c) => ({ ...c, bend: shift(c.bend) }));
  const { lineTrap } = line;
  const kept = lineTrap && lineTrap.bend !== gone ? { ...lineTrap, bend: shift(lineTrap.bend) } : null;
  // a leg begins where the bend of the number before it is
  const holes = line.holes.map((hole) => (hole.leg === 0 ? hole : { ...hole, leg: shift(hole.leg - 1) + 1 }));
  return { ...line, changes, lineTrap: kept, holes };
}

function toShift(op: EditOp, bend: string | number | undefined): Shift | null {
  if (op.op === "insert") return (at) => (at >= op.index ? at + 1 : at);
  if (op.op === "remove" && typeof bend === "number") return (at) => (at >= bend ? Math.max(0, at - 1) : at);
  return null;
}
