import type { Line, Node } from "./plumbing";

/** The free points of a line: a drain's bends, a vent's whole route. */
export function listPoints(line: Line | undefined): readonly Node[] {
  if (!line) return [];
  return line.kind === "drain" ? line.bendsMm : line.pointsMm;
}
