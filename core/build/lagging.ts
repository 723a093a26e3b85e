import type { Design } from "../design/design";
import { findInsulationMm } from "../design/lagging";
import { findTrap } from "../design/lineItems";
import type { Line } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import type { Network } from "../falls/network";
import { listLineLegs } from "../fit/lineLegs";
import { measureUnderFloorMm } from "../fit/underFloor";

/** Foam tube of one size that a line takes. */
export type LaggingLength = { readonly outerMm: number; readonly thickMm: number; readonly lengthMm: number };

/** The foam that goes round a line, by the pipes it is made of: what lies under the floor, with the turns of a trap there [C]. */
export function listLagging(design: Design, network: Network, line: Line): LaggingLength[] {
  const thickMm = findInsulationMm(line);
  if (thickMm <= 0) return [];
  const path = line.kind === "drain" ? buildDrainPath(design, line, network) : null;
  const trap = line.kind === "drain" ? findTrap(line) : null;
  const lengths = new Map<number, number>();
  const add = (outerMm: number, lengthMm: number) => lengths.set(outerMm, (lengths.get(outerMm) ?? 0) + lengthMm);
  for (const { from, to, pipe } of path?.ownLegs ?? listLineLegs(design, line))
    add(pipe.outerMm, measureUnderFloorMm(from, to));
  if (path && trap && path.nodesMm[0]!.z < 0) add(path.pipe.outerMm, 2 * trap.sealMm + trap.spanMm);
  return [...lengths].flatMap(([outerMm, lengthMm]) => (lengthMm > 0 ? [{ outerMm, thickMm, lengthMm }] : []));
}
