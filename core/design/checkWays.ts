import type { Design } from "./design";
import type { Fault, FaultPath } from "./faults";
import { findNode, isJoint } from "./nodes";
import type { Line } from "./plumbing";

/** Legs of all ways together, each followed through all it joins: more no rig has, and no page could follow a hand with. */
export const MOST_WAY_LEGS = 12_000;

/** A line as a piece of a way: how many bends it has, and at which node of which line it goes on. */
type Piece = {
  readonly path: FaultPath;
  readonly bends: number;
  readonly next: { readonly id: string; readonly node: string } | null;
  readonly line: Line;
};

/**
 * Drains that join drains, breathers that join breathers, and dump lines that join dump lines, each come out somewhere: none runs in a circle, and followed
 * through all they join they have no more legs than can be reckoned. Every line is looked at once.
 */
export function checkWays({ lines }: Design): Fault[] {
  const pieces = new Map<string, Piece>();
  for (const [i, line] of lines.entries()) pieces.set(line.id, toPiece(line, ["lines", i, "to"]));
  const tails = new Map<string, number>();
  const faults: Fault[] = [];
  for (const id of pieces.keys()) faults.push(...followOne(id, pieces, tails));
  if (faults.length > 0) return faults;
  let legs = 0;
  for (const [id, { bends }] of pieces) legs += bends + 1 + tails.get(id)!;
  return legs > MOST_WAY_LEGS ? [{ code: "waysTooLong", path: ["lines"], legs, most: MOST_WAY_LEGS }] : [];
}

function toPiece(line: Line, path: FaultPath): Piece {
  const { to } = line;
  const bends = line.kind === "drain" ? line.bendsMm.length : line.pointsMm.length;
  return { path, bends, line, next: isJoint(to) ? { id: to.lineId, node: to.node } : null };
}

// Walks to the first piece that is known, then back, noting how many legs follow each; a circle is a fault of those in it.
function followOne(first: string, pieces: ReadonlyMap<string, Piece>, tails: Map<string, number>): Fault[] {
  const trail: string[] = [];
  const onTrail = new Set<string>();
  let id: string | null = first;
  while (id !== null && !tails.has(id)) {
    if (onTrail.has(id)) {
      const circle = trail.slice(trail.indexOf(id));
      for (const one of trail) tails.set(one, 0);
      return circle.map((one) => ({ code: "drainLoop", path: pieces.get(one)!.path, id: one }));
    }
    trail.push(id);
    onTrail.add(id);
    const next: string | undefined = pieces.get(id)?.next?.id;
    // what is not there is said elsewhere
    id = next !== undefined && pieces.has(next) ? next : null;
  }
  for (const one of trail.reverse()) {
    const { next } = pieces.get(one)!;
    const main = next && pieces.get(next.id);
    tails.set(
      one,
      main ? Math.max(0, main.bends - Math.max(0, findNode(main.line, next.node))) + (tails.get(next.id) ?? 0) : 0,
    );
  }
  return [];
}
