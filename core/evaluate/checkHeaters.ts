import type { Design } from "../design/design";
import type { Gear, GearOf } from "../design/gear";
import { buildGearGraph } from "../gear/gearGraph";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

const SHUTS = new Set<Gear["spec"]["kind"]>(["valve", "diverter", "nonReturn", "pump"]);

/** Hot water that nothing lets off when it grows, and hot water that nothing cools before it is on skin. Common practice, no source. */
export function checkHeaters(design: Design): Finding[] {
  const heaters = design.gear.filter((piece): piece is GearOf<"heater"> => piece.spec.kind === "heater");
  if (heaters.length === 0) return [];
  const graph = buildGearGraph(design);
  const arcs = buildArcs(graph, ALL_OPEN);
  const sources = graph.ends.filter(({ kind }) => kind !== "air");
  const skin = design.gear.filter(
    ({ spec }) => spec.kind === "tap" && spec.use !== "deckWash" && spec.use !== "drinking",
  );
  return heaters.flatMap(({ id, spec }): Finding[] => {
    const at = { kind: "gear", id } as const;
    const findings: Finding[] = [];
    // either side of it, with nothing between that shuts
    const near = [`${id}:in`, `${id}:out`].map((node) => listReached(arcs, node, (gear) => SHUTS.has(gear.spec.kind)));
    const isRelieved = design.gear.some(
      (piece) => piece.spec.kind === "relief" && near.some((nodes) => nodes.has(`${piece.id}:in`)),
    );
    if (spec.litres > 0 && !isRelieved)
      findings.push(createFinding(at, { code: "heaterUnrelieved", litres: spec.litres }));
    const parts = (gear: Gear): boolean => gear.id === id || gear.spec.kind === "mixer";
    // water comes out at its inlet only where something feeds it at its outlet, past itself and past any mixer
    const isFedBack = sources.some(({ node }) => listReached(arcs, node, parts).has(`${id}:out`));
    const hot = (isFedBack ? ["out", "in"] : ["out"]).map((port) => listReached(arcs, `${id}:${port}`, parts));
    const scalded = skin.find((tap) => hot.some((nodes) => nodes.has(`${tap.id}:in`)));
    if (scalded) {
      findings.push(createFinding(at, { code: "heaterUnmixed", otherId: scalded.id, otherName: scalded.name }));
    }
    return findings;
  });
}
