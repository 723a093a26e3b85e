import type { Gear, GearKind } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { followHoses, isPort } from "../gear/hoseWays";

/** Where what is sent on may come to: tanks, the nearest first, and whether it may come overboard. */
export type SentOn = { readonly tankIds: readonly string[]; readonly isOverboard: boolean };

/** Nothing goes on behind them. */
const ENDS: ReadonlySet<GearKind> = new Set([
  "skinFitting",
  "deckFitting",
  "coupling",
  "bowl",
  "sump",
  "tap",
  "relief",
]);

/**
 * Where what leaves a sump by its outlet, or a toilet by its waste, may come to, whichever way valves stand: what flushes a
 * toilet lies before it, and is no end of it [C].
 */
export function listSentOn(
  network: { readonly hoses: readonly Hose[]; readonly gear: ReadonlyMap<string, Gear> },
  id: string,
): SentOn {
  const { gear } = network;
  const first = gear.get(id)?.spec.kind === "bowl" ? "waste" : "out";
  const reached = followHoses(network, isPort(id, first), ENDS);
  // of two as near the one whose name comes first, whatever the order in the file
  const tanks = reached
    .flatMap(({ end, hoses }) => (end.kind === "tank" ? [{ id: end.tankId, hoses }] : []))
    .sort((a, b) => a.hoses - b.hoses || (a.id < b.id ? -1 : 1));
  return {
    tankIds: [...new Set(tanks.map((tank) => tank.id))],
    isOverboard: reached.some(({ end }) => end.kind === "gear" && gear.get(end.gearId)?.spec.kind === "skinFitting"),
  };
}
