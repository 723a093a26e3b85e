import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";

/** Where a hose is cut: so many of its points stay before the piece, and from that one on they lie behind it. */
type Cut = readonly [before: number, behind: number];

/** At one of its points, whose place the piece takes; a hose with none is cut between its ends. */
export const cutAt = (point: number): Cut => [point, point + 1];

/**
 * Operations that put a piece into a hose: the hose ends at the piece's first port, and a second one goes on from the other
 * to where it led.
 */
export function cutHose(
  { gear, lines }: Pick<Design, "gear" | "lines">,
  hose: Hose,
  [before, behind]: Cut,
  piece: Gear,
  [near, far]: readonly [string, string],
): EditOp[] {
  const at = (port: string) => ({ kind: "gear" as const, gearId: piece.id, port });
  const { items, ...bare } = hose;
  const holes = items && shareHoles(items, hose.pointsMm, [before, behind]);
  const first: Hose = {
    ...bare,
    ...(holes && { items: holes.first }),
    to: at(near),
    pointsMm: hose.pointsMm.slice(0, before),
  };
  const second: Hose = {
    ...bare,
    ...(holes && { items: holes.second }),
    id: freeId("hose", lines),
    name: `${hose.name}, on`.slice(0, 80),
    from: at(far),
    pointsMm: hose.pointsMm.slice(behind),
  };
  return [
    { op: "insert", path: ["gear"], index: gear.length, value: piece },
    { op: "set", path: ["lines", hose.id], value: first },
    { op: "insert", path: ["lines"], index: lines.length, value: second },
  ];
}

type Holes = NonNullable<Hose["items"]>;

// A hole stays with its leg. One in the leg that is cut lies before the piece or behind it, and nobody knows which: it is told anew.
function shareHoles(
  items: Holes,
  points: Hose["pointsMm"],
  [before, behind]: Cut,
): { readonly first: Holes; readonly second: Holes } {
  const toIndex = (node: string | null) => points.findIndex(({ id }) => id === node);
  // where the piece takes the place of a point no leg is cut
  const isAtPoint = behind > before && before < points.length;
  return {
    first: items.filter(({ node }) => toIndex(node) < before - (isAtPoint ? 0 : 1)),
    second: items.flatMap((hole) => {
      const index = toIndex(hole.node);
      if (isAtPoint && index === before) return [{ ...hole, node: null }];
      return index >= behind ? [hole] : [];
    }),
  };
}
