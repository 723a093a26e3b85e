import type { Gear, GearKind, HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { listLeaving } from "../gear/passing";

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
 * Where what leaves a sump by its outlet, or a toilet by its waste, may come to, whichever way valves stand. Followed by its hoses and
 * through gear the way that lets it pass: what flushes a toilet lies before it, and is no end of it [C].
 */
export function listSentOn(
  { hoses, gear }: { readonly hoses: readonly Hose[]; readonly gear: ReadonlyMap<string, Gear> },
  id: string,
): SentOn {
  const first = gear.get(id)?.spec.kind === "bowl" ? "waste" : "out";
  const tankIds: string[] = [];
  let isOverboard = false;
  const seen = new Set<string>();
  // ports it leaves by, all that lie as far together
  let open: (readonly [string, string])[] = [[id, first]];
  while (open.length > 0) {
    const ends = open.flatMap(([gearId, port]) => listFarEnds(hoses, gearId, port));
    const tanks = ends.flatMap((end) => (end.kind === "tank" ? [end.tankId] : []));
    // of two as near the one whose name comes first, whatever the order in the file
    tankIds.push(...[...new Set(tanks)].filter((one) => !tankIds.includes(one)).sort());
    open = ends.flatMap((end): (readonly [string, string])[] => {
      if (end.kind === "tank" || seen.has(`${end.gearId}:${end.port}`)) return [];
      seen.add(`${end.gearId}:${end.port}`);
      const kind = gear.get(end.gearId)?.spec.kind;
      if (kind === undefined) return [];
      if (kind === "skinFitting") isOverboard = true;
      return ENDS.has(kind) ? [] : listLeaving(kind, end.port).map((port) => [end.gearId, port] as const);
    });
  }
  return { tankIds, isOverboard };
}

// The other ends of the hoses on a port.
const listFarEnds = (hoses: readonly Hose[], gearId: string, port: string): HoseEnd[] =>
  hoses.flatMap(({ from, to }) => {
    const isAt = (end: HoseEnd) => end.kind === "gear" && end.gearId === gearId && end.port === port;
    return [...(isAt(from) ? [to] : []), ...(isAt(to) ? [from] : [])];
  });
