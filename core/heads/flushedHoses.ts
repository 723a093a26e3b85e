import type { Design } from "../design/design";
import { buildGearGraph, toPortNode } from "../gear/gearGraph";
import { ALL_OPEN, findPassing } from "../gear/settings";
import { countFlushes, measureHoseRun } from "./hoseRun";

/**
 * Hoses that a bowl's flush goes through, each with the flushes it takes until what was flushed has left it: the litres of
 * all hoses from the bowl to its end over those of a flush. Fresh and sea water is not flushed, nor is what leaves a tank;
 * bowls that flush with nothing clear nothing. Source: volume of a cylinder [C on T: nothing is mixed on the way].
 */
export function findFlushedHoses(design: Design): ReadonlyMap<string, number> {
  const flushed = new Map<string, number>();
  const graph = buildGearGraph(design);
  const ends = new Set(graph.ends.map(({ node }) => node));
  const runs = new Map(design.lines.flatMap((line) => (line.kind === "hose" ? [[line.id, line] as const] : [])));
  for (const { id, spec } of design.gear) {
    if (spec.kind !== "bowl" || spec.flushL <= 0) continue;
    const seen = new Set([toPortNode(id, "waste")]);
    const open = [{ node: toPortNode(id, "waste"), litres: 0 }];
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      for (const link of graph.links) {
        if (link.from !== at.node && link.to !== at.node) continue;
        const isForward = link.from === at.node;
        const passing = findPassing(link, ALL_OPEN);
        const next = isForward ? link.to : link.from;
        const isBowl = link.kind === "inside" && link.gear.spec.kind === "bowl";
        if (isBowl || seen.has(next) || !(isForward ? passing.forward : passing.back)) continue;
        seen.add(next);
        const hose = link.kind === "hose" ? runs.get(link.id) : undefined;
        const litres = at.litres + (hose ? measureHoseRun(design, hose).volumeL : 0);
        if (hose) flushed.set(hose.id, Math.max(flushed.get(hose.id) ?? 0, countFlushes(litres, spec.flushL)));
        // what has come into a tank is flushed no further
        if (!ends.has(next)) open.push({ node: next, litres });
      }
    }
  }
  return flushed;
}
