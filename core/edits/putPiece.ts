import type { Design } from "../design/design";
import type { EditOp } from "../design/edit";
import { freeId } from "../design/freeId";
import type { Gear, GearKind } from "../design/gear";
import { roundTenth } from "../design/moves";
import type { Hose } from "../design/plumbing";
import { placeGearPort } from "../gear/gearPorts";
import { USUAL_GEAR } from "../gear/usualGear";
import { subtract, type Vec3, vec } from "../geometry/vec";
import { cutHose } from "./cutHose";

export type HoseEnd = Hose["from"];

export const toGear = (gearId: string, port: string): HoseEnd => ({ kind: "gear", gearId, port });

const isSame = (a: HoseEnd, b: HoseEnd): boolean =>
  a.kind === "gear"
    ? b.kind === "gear" && a.gearId === b.gearId && a.port === b.port
    : b.kind === "tank" && a.tankId === b.tankId && a.portId === b.portId;

/** The hose that begins or ends at a port. */
export const findHoseAt = ({ lines }: Pick<Design, "lines">, at: HoseEnd): Hose | undefined =>
  lines.find((line): line is Hose => line.kind === "hose" && [line.from, line.to].some((end) => isSame(end, at)));

/** The usual piece of a kind, so that one of its ports comes to a place of the rig. */
export function placePiece({ gear }: Pick<Design, "gear">, kind: GearKind, name: string, port: string, to: Vec3): Gear {
  const piece: Gear = { id: freeId(kind, gear), name, atMm: vec(0, 0, 0), ...USUAL_GEAR[kind] };
  return { ...piece, atMm: roundTenth(subtract(to, placeGearPort(piece, port))) };
}

/** Operations that put a piece into a hose right at one of its ends, whichever way the hose was drawn. */
export function putAtEnd(
  design: Pick<Design, "gear" | "lines">,
  hose: Hose,
  end: HoseEnd,
  piece: Gear,
  [near, far]: readonly [near: string, far: string],
): EditOp[] {
  const count = hose.pointsMm.length;
  return isSame(hose.to, end)
    ? cutHose(design, hose, [count, count], piece, [far, near])
    : cutHose(design, hose, [0, 0], piece, [near, far]);
}
