import type { Gear, GearKind, HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { listLeaving } from "./passing";

/** Hoses, and gear by its ids. */
type Joined = { readonly hoses: readonly Hose[]; readonly gear: ReadonlyMap<string, Gear> };

/** An end of a hose that water comes to, and how many hoses it has come through. */
export type HoseReach = { readonly end: HoseEnd; readonly hoseId: string; readonly hoses: number };

/**
 * Every end of a hose that is come to from where a way begins, the nearest first: by ports, through gear that lets it pass, whichever
 * way valves stand, and no further than the kinds that end the way. With `listComing` it is followed back to where it comes from.
 */
export function followHoses(
  { hoses, gear }: Joined,
  isStart: (end: HoseEnd) => boolean,
  ends: ReadonlySet<GearKind>,
  listOn: (kind: GearKind, port: string) => readonly string[] = listLeaving,
): HoseReach[] {
  const reached: HoseReach[] = [];
  const seen = new Set<string>();
  const open = [{ isHere: isStart, hoses: 1 }];
  // the list grows while it is gone through
  for (const { isHere, hoses: count } of open) {
    for (const { id: hoseId, from, to } of hoses) {
      for (const [here, end] of [
        [from, to],
        [to, from],
      ] as const) {
        if (!isHere(here)) continue;
        reached.push({ end, hoseId, hoses: count });
        const kind = end.kind === "gear" ? gear.get(end.gearId)?.spec.kind : undefined;
        if (end.kind !== "gear" || kind === undefined || ends.has(kind)) continue;
        for (const port of listOn(kind, end.port)) {
          if (seen.has(`${end.gearId}:${port}`)) continue;
          seen.add(`${end.gearId}:${port}`);
          open.push({ isHere: isPort(end.gearId, port), hoses: count + 1 });
        }
      }
    }
  }
  return reached;
}

/** Whether an end of a hose is at a port of a piece. */
export const isPort =
  (gearId: string, port: string) =>
  (end: HoseEnd): boolean =>
    end.kind === "gear" && end.gearId === gearId && end.port === port;
