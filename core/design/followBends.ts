import type { Design } from "./design";
import type { EditOp } from "./edit";
import type { Line } from "./plumbing";

/**
 * Keeps junctions at their bends when a bend of the drain they join is put in or taken out before them. The junction
 * at the very bend that is taken out goes to the one before it, or to the one that is first then.
 */
export function followBends(design: Design, op: EditOp): Design {
  const [list, key, points, bend] = op.path;
  if (list !== "lines" || points !== "bendsMm") return design;
  const joined = typeof key === "number" ? design.lines[key]?.id : key;
  const shift = toShift(op, bend);
  if (joined === undefined || !shift) return design;
  const lines = design.lines.map((line): Line => {
    if (line.kind !== "drain" || line.to.kind !== "junction" || line.to.lineId !== joined) return line;
    const moved = shift(line.to.bend);
    return moved === line.to.bend ? line : { ...line, to: { ...line.to, bend: moved } };
  });
  return lines.some((line, i) => line !== design.lines[i]) ? { ...design, lines } : design;
}

function toShift(op: EditOp, bend: string | number | undefined): ((at: number) => number) | null {
  if (op.op === "insert") return (at) => (at >= op.index ? at + 1 : at);
  if (op.op === "remove" && typeof bend === "number") return (at) => (at >= bend ? Math.max(0, at - 1) : at);
  return null;
}
