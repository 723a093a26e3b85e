import type { Design } from "./design";
import type { EditOp } from "./editOps";
import { listPoints } from "./linePoints";
import { isJoint } from "./nodes";
import type { Drain, DumpLine, Line, LineItem, Vent } from "./plumbing";

/**
 * What is tied to a node follows it by itself. Where a node is taken out, drains and dump lines that join there and tees of
 * other breathers go to the one before it, or to the one that is first then, a hole to the leg that is one with its own now; a change of pipe
 * or a trap goes with its node.
 */
export function followNodes(before: Design, after: Design, op: EditOp): Design {
  const [list, key, points, index] = op.path;
  if (op.op === "set" && list === "lines" && (op.path.length === 2 || (op.path.length === 3 && points === "pointsMm")))
    return forgetHoles(before, after);
  if (op.op !== "remove" || list !== "lines" || (points !== "bendsMm" && points !== "pointsMm")) return after;
  const line = typeof key === "number" ? before.lines[key] : before.lines.find(({ id }) => id === key);
  const nodes = listPoints(line);
  const at = typeof index === "number" ? index : nodes.findIndex(({ id }) => id === index);
  const gone = nodes[at]?.id;
  if (!line || gone === undefined) return after;
  const heir = nodes[at - 1]?.id ?? nodes[at + 1]?.id;
  const lines = after.lines.map((one) => {
    if (one.id === line.id) return followOwn(one, gone, nodes[at - 1]?.id ?? null);
    return heir === undefined ? one : followEnd(one, line.id, gone, heir);
  });
  return lines.some((one, i) => one !== after.lines[i]) ? { ...after, lines } : after;
}

function followEnd(line: Line, lineId: string, gone: string, heir: string): Line {
  const { to } = line;
  if (!isJoint(to) || to.lineId !== lineId || to.node !== gone) return line;
  return { ...line, to: { ...to, node: heir } } as Drain | Vent | DumpLine;
}

function followOwn(line: Line, gone: string, before: string | null): Line {
  if (!line.items?.some(({ node }) => node === gone)) return line;
  const items = line.items.flatMap((item): LineItem[] => {
    if (item.node !== gone) return [item];
    return item.kind === "hole" ? [{ ...item, node: before }] : [];
  });
  return { ...line, items } as Line;
}

// A breather, hose or dump line that is laid anew keeps the holes of the points that were given again; the others are holes
// of a way it no longer goes.
function forgetHoles(before: Design, after: Design): Design {
  const known = new Map(before.lines.map((line) => [line.id, line]));
  const lines = after.lines.map((line: Line | null): Line | null => {
    const old = line ? known.get(line.id) : undefined;
    if (!line || !old || old === line || line.kind === "drain" || !Array.isArray(line.items)) return line;
    const ids: (string | undefined)[] = Array.isArray(line.pointsMm) ? line.pointsMm.map((point) => point?.id) : [];
    const items = line.items.filter(({ node }) =>
      node === null ? ids[0] !== undefined && ids[0] === listPoints(old)[0]?.id : ids.includes(node),
    );
    return items.length === line.items.length ? line : ({ ...line, items } as Line);
  });
  return { ...after, lines: lines as Line[] };
}
