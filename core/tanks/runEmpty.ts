import { computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { TankResult } from "../evaluate/evaluation";
import { add, dot, scale } from "../geometry/vec";
import { buildDumpRun, findDumpLine } from "./dumpRun";
import { computeEmptying, type Emptying } from "./emptying";
import { findOutletWay } from "./outletWay";

/**
 * A tank of the design run empty from full where it is dumped, through outlet, valve, dump line and hose, its breather throttling, or
 * with its hatch open so that air comes freely. Null without an outlet. Source: as `computeEmptying` [C].
 */
export function computeRunEmpty(
  design: Design,
  tank: Tank,
  { air, level }: Pick<TankResult, "air" | "level">,
  isHatchOpen = false,
): Emptying | null {
  const up = computeUp(design.rig.dumpAttitude);
  // of several the lowest, and of those the widest
  const [outlet] = tank.ports
    .filter(({ kind }) => kind === "outlet")
    .sort((a, b) => dot(up, a.atMm) - dot(up, b.atMm) || b.boreMm - a.boreMm);
  if (!outlet) return null;
  const airway = isHatchOpen ? null : (air?.stretches.map(({ pipe }) => pipe) ?? null);
  const { rig } = design;
  const line = findDumpLine(design, tank.id, outlet.id);
  const run = line && buildDumpRun(design, line);
  const { boreMm, dropMm } = findOutletWay(outlet, rig.dumpHose, run);
  // what the line climbs over stays in the tank, as if the outlet sat so much higher
  const atMm = run && run.humpMm > 0 ? add(outlet.atMm, scale(up, run.humpMm)) : outlet.atMm;
  return computeEmptying(tank, { ...outlet, atMm, boreMm }, up, level.litres, { airway, dropM: dropMm / 1000 });
}
