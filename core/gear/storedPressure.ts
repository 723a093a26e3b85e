import type { Design } from "../design/design";
import { FOUL, listTargets } from "./foulTargets";
import type { GearGraph } from "./gearGraph";
import type { Hazard } from "./hazard";
import { type Arc, buildArcs, findWays } from "./reach";
import { type Failure, listFailures, toSetting } from "./settings";
import { listJudgedStates } from "./turns";

/** Foul water that a pump has pressed into an accumulator, and the state in which it did. */
type Charge = {
  readonly gearId: string;
  readonly water: NonNullable<Hazard["water"]>;
  readonly from: string;
  readonly stateId: string;
};

/**
 * What an accumulator, filled with foul water in one working state, presses where it must not in another, with every pump off,
 * alone and with every single failure that lasts. What reaches it without that is told by itself. Height is no hindrance, a few
 * hundred kPa stand in it; reachability decides, no flow is worked out [C].
 */
export function listStored(design: Design, graph: GearGraph, told: readonly Hazard[]): Hazard[] {
  const accumulators = design.gear.filter(({ spec }) => spec.kind === "accumulator");
  if (accumulators.length === 0) return [];
  const states = listJudgedStates(design);
  const failures: (Failure | null)[] = [null, ...listFailures(design.gear)];
  const known = new Set(told.flatMap(({ kind, to, failure }) => (kind === "fouls" ? [toKey(to, failure)] : [])));
  return failures.flatMap((failure) => {
    const inState = states.map((state) => ({ state, arcs: buildArcs(graph, toSetting(state, failure)) }));
    const charges = inState.flatMap(({ state, arcs }): Charge[] =>
      graph.ends.flatMap((source): Charge[] => {
        if (!FOUL.has(source.holds) || source.holds === null || !source.isEverWet) return [];
        const ways = findWays(graph, arcs, source);
        const water = source.holds;
        return accumulators.flatMap(({ id: gearId }) =>
          ways.get(toNode(gearId))?.isDriven ? [{ gearId, water, from: source.node, stateId: state.id }] : [],
        );
      }),
    );
    return inState.flatMap(({ state, arcs }) => {
      const setting = toSetting(state, failure);
      return charges.flatMap(({ gearId: storedIn, water, from, stateId: chargedIn }): Hazard[] => {
        const ways = spread(arcs, toNode(storedIn));
        // the sea in an accumulator is under its pump's pressure, and comes where loop water would
        const targets = listTargets(graph, design.gear, setting.isTapOpen, { holds: "loop" });
        return targets.flatMap((target): Hazard[] => {
          const way = ways.get(target.node);
          if (!way || known.has(toKey(target.node, null)) || known.has(toKey(target.node, failure))) return [];
          const { tankId, gearId } = target;
          return [
            {
              kind: "fouls",
              stateId: state.id,
              failure,
              water,
              from,
              to: target.node,
              way,
              isDriven: true,
              gearId,
              tankId,
              stored: { gearId: storedIn, stateId: chargedIn },
            },
          ];
        });
      });
    });
  });
}

const toNode = (gearId: string): string => `${gearId}:in`;
const toKey = (to: string, failure: Failure | null): string => `${to}|${JSON.stringify(failure)}`;

// By the fewest links from a node to every other that is open to it, at any height.
function spread(arcs: ReadonlyMap<string, readonly Arc[]>, from: string): ReadonlyMap<string, readonly string[]> {
  const ways = new Map<string, readonly string[]>([[from, []]]);
  const open = [from];
  for (const node of open) {
    for (const { link, to } of arcs.get(node) ?? []) {
      if (ways.has(to)) continue;
      ways.set(to, [...ways.get(node)!, link.id]);
      open.push(to);
    }
  }
  return ways;
}
