import type { Design } from "./design";
import type { EditOp } from "./edit";
import { listPoints } from "./moves";
import { isJoint } from "./nodes";
import type { Drain, DumpLine, Line, LineItem, Vent } from "./plumbing";

/**
 * What is tied to a node follows it by itself. Where a node is taken out, drains and dump lines that join there and tees of
 * other breathers go to the one before it, or to the one that is first then, a hole to the leg that is one with its own now; a change of pipe
 * or a trap goes with its node.
 */
export function followNodes(before: Design, after: Design, op: EditOp): Design {
  const [list, key, points, index] = op.path;
  if (op.op !== "remove" || list !== "lines" || (points !== "bendsMm" && points !== "pointsMm")) return after;
  const line = typeof key === "number" ? before.lines[key] : before.lines.find(({ id }) => id === key);
  const nodes = listPoints(line);
  const at = typeof index === "number" ? index : nodes.findIndex(({ id }) => id === index);
  const gone = nodes[at]?.id;
  if (!line || gone === undefined) return after;
  const heir = nodes[at - 1]?.id ?? nodes[at + 1]?.id;
  const lines = after.lines.map((one) => {
    if (one.id === line.id) return one.kind === "drain" ? followOwn(one, gone, nodes[at - 1]?.id ?? null) : one;
    return heir === undefined ? one : followEnd(one, line.id, gone, heir);
  });
  return lines.some((one, i) => one !== after.lines[i]) ? { ...after, lines } : after;
}

function followEnd(line: Line, lineId: string, gone: string, heir: string): Line {
  const { to } = line;
  if (!isJoint(to) || to.lineId !== lineId || to.node !== gone) return line;
  return { ...line, to: { ...to, node: heir } } as Drain | Vent | DumpLine;
}

function followOwn(line: Drain, gone: string, before: string | null): Drain {
  if (!line.items.some(({ node }) => node === gone)) return line;
  const items = line.items.flatMap((item): LineItem[] => {
    if (item.node !== gone) return [item];
    return item.kind === "hole" ? [{ ...item, node: before }] : [];
  });
  return { ...line, items };
}
