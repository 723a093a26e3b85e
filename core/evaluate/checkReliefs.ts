import type { Design } from "../design/design";
import { buildGearGraph } from "../gear/gearGraph";
import { findHardest, listPushes } from "../gear/pushes";
import { buildArcs } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** A relief valve begins to drip at this share of what it is set to. From memory, no source [T]. */
export const DRIPS_AT = 0.9;

/**
 * Relief valves that what pushes on them opens by itself: a pump up to where its switch stops it, kPa, or a tap outside, with the height
 * between; then they run whenever it is on, until its tank is empty. Lost pressure is not counted. Common practice, no source.
 */
export function checkReliefs(design: Design): Finding[] {
  const reliefs = design.gear.filter(({ spec }) => spec.kind === "relief");
  if (reliefs.length === 0) return [];
  const arcs = buildArcs(buildGearGraph(design), ALL_OPEN);
  const pushes = listPushes(design.gear, arcs);
  return reliefs.flatMap((relief): Finding[] => {
    if (relief.spec.kind !== "relief") return [];
    const { setKPa } = relief.spec;
    const hardest = findHardest(pushes, relief, "in");
    if (!hardest || hardest.pushKPa <= DRIPS_AT * setKPa) return [];
    const { piece, pushKPa } = hardest;
    const numbers = { code: "reliefRuns", setKPa, pushKPa, otherName: piece.name, otherId: piece.id } as const;
    return [createFinding({ kind: "gear", id: relief.id }, numbers)];
  });
}
