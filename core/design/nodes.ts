import type { Vec3 } from "../geometry/vec";
import type { Design } from "./design";
import type { EditOp } from "./editOps";
import { listPoints } from "./linePoints";
import type { Line, Node } from "./plumbing";

/** The node of a line by its id: how the manieth point it is; −1 where it is gone. */
export const findNode = (line: Line | undefined, nodeId: string): number =>
  listPoints(line).findIndex(({ id }) => id === nodeId);

/** The id of a line's point; null where it has none there. */
export const findNodeId = (line: Line | undefined, index: number): string | null => listPoints(line)[index]?.id ?? null;

/** What a leg is told apart by while bends come and go before it: "0" for the first, else the node it begins at. */
export function toLegKey(line: Line | undefined, leg: number): string {
  const nodeId = leg === 0 ? null : findNodeId(line, leg - 1);
  // the nodes of older files are n1, n2 and so on: their legs keep the keys they had
  return nodeId === null ? String(leg) : nodeId.replace(/^n(?=\d+$)/, "");
}

/** Whether a line ends at a node of another one of its kind. */
export const isJoint = (to: Line["to"]): to is Extract<Line["to"], { readonly node: string }> => "node" in to;

/** Points of a new line, each with an id. */
export const toNodes = (points: readonly Vec3[]): Node[] => points.map((point, i) => ({ ...point, id: `n${i + 1}` }));

/**
 * After an edit every node of the lines it touched has an id: one that was moved keeps its own, one that stayed where it was
 * in a list that grew or shrank keeps it too, and a new one gets one that no other had.
 */
export function settleNodes(before: Design, after: Design, op: EditOp): Design {
  // what is no list of lines is refused when it is read
  if (op.path[0] !== "lines" || before.lines === after.lines || !Array.isArray(after.lines)) return after;
  const known = new Map(before.lines.map((line) => [line.id, line]));
  const lines = after.lines.map((line: Line) =>
    known.get(line?.id) === line ? line : settleLine(known.get(line?.id), line),
  );
  return lines.some((line, i) => line !== after.lines[i]) ? { ...after, lines } : after;
}

function settleLine(before: Line | undefined, line: Line): Line {
  if (typeof line !== "object" || line === null) return line;
  const nodes: readonly Node[] | undefined = line.kind === "drain" ? line.bendsMm : line.pointsMm;
  if (!Array.isArray(nodes) || !nodes.every(isPoint)) return line;
  // one that was copied from another is a new one
  const own = nodes.map((node, i) => (isFirst(nodes, i) ? node : { ...node, id: undefined }));
  if (own.every(({ id }) => id !== undefined)) return line;
  const settled = before ? nameNodes(listPoints(before), own) : toNodes(nodes);
  return line.kind === "drain" ? { ...line, bendsMm: settled } : { ...line, pointsMm: settled };
}

const isFirst = (nodes: readonly Node[], i: number): boolean => nodes.findIndex(({ id }) => id === nodes[i]!.id) === i;

/** A point as an edit gives it: it may have no id yet. */
type Point = Vec3 & { readonly id?: string | undefined };

const isPoint = (value: unknown): value is Node => typeof value === "object" && value !== null && "x" in value;

function nameNodes(before: readonly Node[], nodes: readonly Point[]): Node[] {
  const taken = new Set(nodes.flatMap(({ id }) => id ?? []));
  const take = (id: string | undefined): string | null => {
    if (id === undefined || taken.has(id)) return null;
    taken.add(id);
    return id;
  };
  // first those that stand where one stood, so that a node that moved cannot take another's id
  const stood = nodes.map((node) => node.id ?? take(before.find((old) => isSamePlace(old, node))?.id));
  const named = nodes.map((_, i) => stood[i] ?? take(before[i]?.id));
  // a line that was laid anew keeps as many of its nodes as it can, from its end on: what joins there stays joined
  const left = before.map(({ id }) => id).filter((id) => !taken.has(id));
  for (let i = nodes.length - 1; i >= 0; i--) named[i] ??= take(left.pop());
  return nodes.map((node, i): Node => {
    const id = named[i] ?? createNodeId(node, taken);
    taken.add(id);
    // a point that was not touched stays the same object, and so does all that is remembered of it
    return node.id === id ? (node as Node) : { ...node, id };
  });
}

const isSamePlace = (a: Vec3, b: Vec3): boolean => a.x === b.x && a.y === b.y && a.z === b.z;

/** An id for a new node, made from the place it is put at: one that is taken out leaves no id for another to come by. */
export function createNodeId({ x, y, z }: Vec3, taken: ReadonlySet<string>): string {
  for (let nth = 0; ; nth++) {
    let word = 0x811c9dc5;
    for (const letter of `${x} ${y} ${z} ${nth}`) word = Math.imul(word ^ letter.charCodeAt(0), 0x01000193) >>> 0;
    const id = `p${word.toString(36)}`;
    if (!taken.has(id)) return id;
  }
}

/** A node for a line that has some: its id is no other's. */
export const toNewNode = (line: Line, { x, y, z }: Vec3): Node => ({
  x,
  y,
  z,
  id: createNodeId({ x, y, z }, new Set(listPoints(line).map(({ id }) => id))),
});
