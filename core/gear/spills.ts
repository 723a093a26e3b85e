import type { Design } from "../design/design";
import type { WorkingState } from "../design/gear";
import type { GearEnd, GearGraph } from "./gearGraph";
import type { Hazard } from "./hazard";
import { buildArcs, findWays, standsOver, toPlace, type Way } from "./reach";
import { type Failure, listFailures, toSetting } from "./settings";
import { AT_REST, listJudgedStates } from "./turns";

/**
 * What runs where nobody wants it: every hose that comes off while a state stands, and every tank that runs out of an
 * opening while no tap is meant to be open. The sea behind a hose that comes off is reckoned with the skin fittings.
 * Reachability and what stands higher decide, no flow is worked out [C; margin for tilt T].
 */
export function listSpills(design: Design, graph: GearGraph): Hazard[] {
  const states = listJudgedStates(design);
  return [
    ...states.flatMap((state) => listHosesOff(graph, state)),
    ...listRunningOut(design, graph, AT_REST),
    ...states.filter(({ openTaps }) => openTaps.length === 0).flatMap((state) => listRunningOut(design, graph, state)),
  ];
}

const canEmpty = ({ kind, isEverWet }: GearEnd): boolean => isEverWet && (kind === "tank" || kind === "supply");

function listHosesOff(graph: GearGraph, state: WorkingState): Hazard[] {
  const arcs = buildArcs(graph, toSetting(state));
  const hoses = graph.links.flatMap((link) => (link.kind === "hose" ? [link] : []));
  return graph.ends.filter(canEmpty).flatMap((source) => {
    const reached = findWays(graph, arcs, source);
    return hoses.flatMap((hose): Hazard[] => {
      // it falls to the lower of its ends; the end that was reached through it is fed no more
      const ends = [hose.from, hose.to].map((node) => graph.nodes.get(node)!);
      const low = {
        heightMm: Math.min(...ends.map(({ atMm }) => atMm.z)),
        overSeaMm: Math.min(...ends.map(({ overSeaMm }) => overSeaMm)),
      };
      const way = [hose.from, hose.to]
        .flatMap((node): Way[] => (reached.has(node) ? [reached.get(node)!] : []))
        .find(({ isDriven, links }) => !links.includes(hose.id) && (isDriven || standsOver(source, low)));
      if (!way) return [];
      return [
        toHazard(
          "spills",
          source,
          state,
          { kind: "hoseOff", lineId: hose.id },
          hose.from,
          [...way.links, hose.id],
          way,
        ),
      ];
    });
  });
}

function listRunningOut(design: Design, graph: GearGraph, state: WorkingState): Hazard[] {
  const isResting = state === AT_REST;
  const failures: (Failure | null)[] = [
    ...(isResting ? [null] : []),
    ...listFailures(design.gear).filter(({ kind }) => isResting || kind === "leftOpen"),
  ];
  return failures.flatMap((failure) => {
    const setting = toSetting(state, failure);
    const arcs = buildArcs(graph, setting);
    const outs = graph.ends.filter(({ kind, gearId, overKPa }) => {
      if (kind !== "air" || overKPa > 0) return false;
      const spec = design.gear.find(({ id }) => id === gearId)?.spec;
      if (spec?.kind === "tap" || spec?.kind === "coupling") return setting.isTapOpen(gearId!);
      // what falls through an air gap is meant to, unless nobody has turned anything
      return isResting;
    });
    return graph.ends
      .filter((source) => canEmpty(source) && source.kind === "tank")
      .flatMap((source) => {
        const reached = findWays(graph, arcs, source);
        return outs.flatMap((out): Hazard[] => {
          const way = reached.get(out.node);
          if (!way || !(way.isDriven || standsOver(source, toPlace(out)))) return [];
          return [toHazard("runsOut", source, state, failure, out.node, way.links, way)];
        });
      });
  });
}

function toHazard(
  kind: "spills" | "runsOut",
  source: GearEnd,
  state: WorkingState,
  failure: Failure | null,
  to: string,
  way: readonly string[],
  { isDriven }: Way,
): Hazard {
  const { holds, tankId, gearId, isDry } = source;
  return {
    ...(isDry && { needsFull: true }),
    kind,
    stateId: state.id,
    failure,
    water: holds,
    from: source.node,
    to,
    way,
    gearId: tankId === null ? gearId : null,
    tankId,
    isDriven,
  };
}
