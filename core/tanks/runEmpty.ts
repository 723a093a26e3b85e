import { computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { TankResult } from "../evaluate/evaluation";
import { computeEmptying, type Emptying } from "./emptying";
import { findOutletWay } from "./outletWay";

/**
 * A tank of the design run empty from full where it is dumped, through outlet, valve and hose, its breather throttling, or
 * with its hatch open so that air comes freely. Null without an outlet. Source: as `computeEmptying` [C].
 */
export function computeRunEmpty(
  { rig }: Pick<Design, "rig">,
  tank: Tank,
  { air, level }: Pick<TankResult, "air" | "level">,
  isHatchOpen = false,
): Emptying | null {
  const outlet = tank.ports.find(({ kind }) => kind === "outlet");
  if (!outlet) return null;
  const airway = isHatchOpen ? null : (air?.stretches.map(({ pipe }) => pipe) ?? null);
  const { boreMm, dropMm } = findOutletWay(outlet, rig.dumpHose);
  const up = computeUp(rig.dumpAttitude);
  return computeEmptying(tank, { ...outlet, boreMm }, up, level.litres, { airway, dropM: dropMm / 1000 });
}
