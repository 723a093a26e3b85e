import type { Gear } from "../design/gear";
import type { GearEnd, GearGraph } from "./gearGraph";

/** Waters that must not come to what is drunk. */
export const FOUL = new Set<GearEnd["holds"]>(["grey", "black", "loop", "sea"]);

/** Where foul water must not come to: fresh tanks, the tap outside, and taps for drinking and washing that are open or may be. */
export function listTargets(
  graph: GearGraph,
  gear: readonly Gear[],
  isTapOpen: (gearId: string) => boolean,
  source: Pick<GearEnd, "holds">,
): GearEnd[] {
  return graph.ends.filter((end) => {
    if (end.tankId !== null) {
      // the sea floods any tank, other waters foul what is fresh
      return source.holds === "sea" ? true : end.holds === "fresh";
    }
    // back into the tap outside, when its pressure is gone
    if (end.kind === "supply") return true;
    const spec = gear.find(({ id }) => id === end.gearId)?.spec;
    if (spec?.kind !== "tap") return false;
    if (source.holds === "sea") return isTapOpen(end.gearId!) && spec.use !== "deckWash";
    return spec.use === "drinking" || spec.use === "washing";
  });
}
