import type { Design } from "../design/design";
import type { GearKind } from "../design/gear";
import { buildGearGraph } from "../gear/gearGraph";
import { buildBothWays, listReached } from "../gear/reach";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What holds grit back, and another pump, which draws for itself. */
const HOLDS_BACK = new Set<GearKind>(["strainer", "filter", "pump"]);

/** Pumps by membranes, whose valves a grain keeps open, that draw from somewhere with nothing to hold that back [T]. */
export function checkStrained(design: Design): Finding[] {
  const pumps = design.gear.filter(({ spec }) => spec.kind === "pump" && spec.pump === "diaphragm");
  if (pumps.length === 0) return [];
  const graph = buildGearGraph(design);
  const arcs = buildBothWays(graph);
  return pumps.flatMap(({ id }): Finding[] => {
    const nodes = listReached(arcs, `${id}:in`, ({ spec }) => HOLDS_BACK.has(spec.kind));
    const draws = graph.ends.some(({ kind, node }) => kind !== "air" && nodes.has(node));
    return draws ? [createFinding({ kind: "gear", id }, { code: "pumpUnstrained" })] : [];
  });
}
