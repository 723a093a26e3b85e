import { computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { TankResult } from "../evaluate/evaluation";
import { add, scale } from "../geometry/vec";
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
  const outlet = tank.ports.find(({ kind }) => kind === "outlet");
  if (!outlet) return null;
  const airway = isHatchOpen ? null : (air?.stretches.map(({ pipe }) => pipe) ?? null);
  const { rig } = design;
  const line = findDumpLine(design, tank.id, outlet.id);
  const run = line && buildDumpRun(design, line);
  const { boreMm, dropMm } = findOutletWay(outlet, rig.dumpHose, run);
  const up = computeUp(rig.dumpAttitude);
  // what the line climbs over stays in the tank, as if the outlet sat so much higher
  const atMm = run && run.humpMm > 0 ? add(outlet.atMm, scale(up, run.humpMm)) : outlet.atMm;
  return computeEmptying(tank, { ...outlet, atMm, boreMm }, up, level.litres, { airway, dropM: dropMm / 1000 });
}
