import type { Design } from "../design/design";
import type { GearGraph } from "./gearGraph";
import type { Hazard } from "./hazard";
import { buildArcs, findWays } from "./reach";
import { type Failure, listFailures, toSetting } from "./settings";
import { listJudgedStates } from "./turns";

/**
 * What has no end filling what has one, while nobody stands by: the tap outside, or the sea by a pump that is no hand's,
 * with an open way into a tank, in every state alone and with every single failure. It runs over by its breather, or
 * bursts where that is too narrow. Reachability decides, no flow is worked out [C].
 */
export function listOverfills(
  design: Design,
  graph: GearGraph,
  isAttended: (design: Design, stateId: string) => boolean,
): Hazard[] {
  const endless = graph.ends.filter(({ kind, isDry }) => (kind === "supply" || kind === "sea") && !isDry);
  const tanks = graph.ends.filter(({ tankId }) => tankId !== null);
  if (endless.length === 0 || tanks.length === 0) return [];
  const byHand = new Set(
    design.gear.flatMap(({ id, spec }) => (spec.kind === "pump" && spec.pump === "hand" ? [id] : [])),
  );
  const failures: (Failure | null)[] = [null, ...listFailures(design.gear)];
  return failures.flatMap((failure) =>
    listJudgedStates(design)
      .filter(({ id }) => !isAttended(design, id))
      .flatMap((state) => {
        const arcs = buildArcs(graph, toSetting(state, failure));
        return endless.flatMap((source) => {
          const ways = findWays(graph, arcs, source);
          return tanks.flatMap((end): Hazard[] => {
            const way = ways.get(end.node);
            if (!way || (source.kind === "sea" && !way.isDriven) || way.links.some((id) => byHand.has(id))) return [];
            return [
              {
                kind: "overfills",
                stateId: state.id,
                failure,
                water: source.holds,
                from: source.node,
                to: end.node,
                way: way.links,
                gearId: null,
                tankId: end.tankId,
                isDriven: way.isDriven,
              },
            ];
          });
        });
      }),
  );
}
