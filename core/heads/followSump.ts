import type { HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";

/**
 * Where what comes into a sump is sent: a tank's id, "overboard" through a skin fitting, or null where its hose ends nowhere.
 * The hoses are followed from its outlet through whatever gear stands on the way; a tank goes before the sea, because it
 * fills [C].
 */
export function followSump(
  {
    hoses,
    gear,
  }: {
    readonly hoses: readonly Hose[];
    readonly gear: ReadonlyMap<string, { readonly spec: { readonly kind: string } }>;
  },
  sumpId: string,
): string | "overboard" | null {
  const seen = new Set<string>([sumpId]);
  const open = [sumpId];
  let sea = false;
  const others = (id: string): HoseEnd[] =>
    hoses.flatMap(({ from, to }) => {
      const touches = (end: HoseEnd) => end.kind === "gear" && end.gearId === id;
      return touches(from) ? [to] : touches(to) ? [from] : [];
    });
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    for (const end of others(id)) {
      if (end.kind === "tank") return end.tankId;
      if (seen.has(end.gearId)) continue;
      seen.add(end.gearId);
      if (gear.get(end.gearId)?.spec.kind === "skinFitting") sea = true;
      else open.push(end.gearId);
    }
  }
  return sea ? "overboard" : null;
}
