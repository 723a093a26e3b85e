import type { Design } from "../design/design";
import type { EditOp } from "../design/edit";
import { freeId } from "../design/freeId";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";

/**
 * Operations that put a piece into a hose at one of its points: the hose ends at the piece's first port, and a second one
 * goes on from the other to where it led.
 */
export function cutHose(
  { gear, lines }: Pick<Design, "gear" | "lines">,
  hose: Hose,
  point: number,
  piece: Gear,
  [near, far]: readonly [string, string],
): EditOp[] {
  const at = (port: string) => ({ kind: "gear" as const, gearId: piece.id, port });
  const before: Hose = { ...hose, to: at(near), pointsMm: hose.pointsMm.slice(0, point) };
  const after: Hose = {
    ...hose,
    id: freeId("hose", lines),
    name: `${hose.name}, on`.slice(0, 80),
    from: at(far),
    pointsMm: hose.pointsMm.slice(point + 1),
  };
  return [
    { op: "insert", path: ["gear"], index: gear.length, value: piece },
    { op: "set", path: ["lines", hose.id], value: before },
    { op: "insert", path: ["lines"], index: lines.length, value: after },
  ];
}
