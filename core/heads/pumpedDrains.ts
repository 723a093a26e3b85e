import type { Drain } from "../design/plumbing";
import { followDrain, type Network } from "../falls/network";
import { listSentOn } from "./sentOn";

/** Drains that end in a sump, by every tank its pump may send the water to, whichever way valves stand [C]. */
export function listPumpedDrains(network: Network): ReadonlyMap<string, readonly Drain[]> {
  const byTank = new Map<string, Drain[]>();
  for (const drain of network.drains.values()) {
    const { to } = followDrain(network, drain).at(-1)!;
    if (to.kind !== "sump") continue;
    for (const tankId of listSentOn(network, to.gearId).tankIds) {
      byTank.set(tankId, [...(byTank.get(tankId) ?? []), drain]);
    }
  }
  return byTank;
}
