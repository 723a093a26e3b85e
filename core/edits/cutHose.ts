import type { Design } from "../design/design";
import type { EditOp } from "../design/edit";
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
  const first: Hose = { ...hose, to: at(near), pointsMm: hose.pointsMm.slice(0, before) };
  const second: Hose = {
    ...hose,
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
