import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { Gear } from "../design/gear";
import { toPortNode } from "./gearGraph";
import { placeGearPort } from "./gearPorts";
import { readPushKPa } from "./pumpPush";
import { type Arc, listReached } from "./reach";
import { readSupplyKPa } from "./supply";

/** Water 1 mm high presses so hard, kPa [C]. */
const KPA_PER_MM = (WATER_DENSITY * GRAVITY) / 1e6;

/**
 * A pump up to where its switch stops it, or a tap outside: how hard it pushes where it lets water out, kPa, and where that
 * comes to.
 */
export type Push = { readonly piece: Gear; readonly kPa: number; readonly reached: ReadonlySet<string> };

/** All that pushes on the pipes of a rig, with everything open. */
export const listPushes = (gear: readonly Gear[], arcs: ReadonlyMap<string, readonly Arc[]>): Push[] =>
  gear.flatMap((piece) => {
    const kPa = readPush(piece);
    return kPa === null ? [] : [{ piece, kPa, reached: listReached(arcs, toPortNode(piece.id, "out")) }];
  });

/**
 * The hardest push that comes to a port of a piece, kPa, with the height between; pumps in a row and pressure that is lost
 * on the way are not counted. Null where nothing pushes. Source: hydrostatics [C].
 */
export function findHardest(pushes: readonly Push[], at: Gear, port: string): { piece: Gear; pushKPa: number } | null {
  const node = toPortNode(at.id, port);
  const { z } = placeGearPort(at, port);
  const [hardest] = pushes
    .filter(({ reached }) => reached.has(node))
    .map(({ piece, kPa }) => ({ piece, pushKPa: kPa + (placeGearPort(piece, "out").z - z) * KPA_PER_MM }))
    .sort((a, b) => b.pushKPa - a.pushKPa);
  return hardest ?? null;
}

/** What stands at a port when so much stands at another, kPa. */
export const shiftKPa = (
  kPa: number,
  [from, fromPort]: readonly [Gear, string],
  [to, port]: readonly [Gear, string],
): number => kPa + (placeGearPort(from, fromPort).z - placeGearPort(to, port).z) * KPA_PER_MM;

function readPush({ spec }: Gear): number | null {
  if (spec.kind === "coupling") return readSupplyKPa(spec);
  return spec.kind === "pump" ? readPushKPa(spec) : null;
}
