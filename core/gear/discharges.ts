import type { Design } from "../design/design";
import type { DischargePlace, WorkingState } from "../design/gear";
import { type GearGraph, toPortNode } from "./gearGraph";
import type { Hazard } from "./hazard";
import { type Arc, buildArcs } from "./reach";
import { type Failure, listFailures, toSetting } from "./settings";
import { listJudgedStates } from "./turns";

/** Nothing untreated goes overboard there: inland, near the shore, in a zone, and from a rig on land. Local rules decide. */
const FORBIDDEN = new Set<DischargePlace | undefined>(["inland", "within3", "zone", "camp"]);

/**
 * Every open way from a bowl or a black tank to a skin fitting in states that are used where nothing may go overboard, alone
 * and with every single failure. Heights do not count: she heels, and a hand pumps. A valve that is secured is not turned by
 * mistake [C; rules: MARPOL Annex IV, 40 CFR 140, 33 CFR 159, P, from memory, 90 %].
 */
export function listDischarges(design: Design, graph: GearGraph): Hazard[] {
  const { gear } = design;
  const states = listJudgedStates(design);
  const sea = graph.ends.filter(({ kind }) => kind === "sea");
  const bowls = new Set(gear.flatMap(({ id, spec }) => (spec.kind === "bowl" ? [id] : [])));
  const sources = [
    ...[...bowls].map((id) => toPortNode(id, "waste")),
    ...graph.ends.filter(({ holds }) => holds === "black").map(({ node }) => node),
  ];
  if (sea.length === 0 || sources.length === 0) return [];
  const failures: (Failure | null)[] = [null, ...listFailures(gear).filter((failure) => !isHeld(gear, failure))];
  const told = new Map<string, Hazard>();
  for (const failure of failures) {
    for (const state of states) {
      if (!FORBIDDEN.has(state.place)) continue;
      const arcs = buildArcs(graph, toSetting(state, failure));
      for (const node of sources) {
        const ways = spread(arcs, node, bowls);
        for (const end of sea) {
          const way = ways.get(end.node);
          const failed = failure && "gearId" in failure ? failure.gearId : (failure?.kind ?? "none");
          const key = [state.id, end.node, failed].join("|");
          // what needs no failure is not told again with one, nor a valve that fails twice
          if (!way || told.has(key) || told.has([state.id, end.node, "none"].join("|"))) continue;
          told.set(key, toHazard(state, failure, node, end, way));
        }
      }
    }
  }
  return [...told.values()];
}

// What a lock, a cord or a handle in the drawer keeps from happening.
function isHeld(gear: Design["gear"], failure: Failure): boolean {
  if (failure.kind !== "stuck" && failure.kind !== "halfWay") return false;
  return gear.find(({ id }) => id === failure.gearId)?.isSecured === true;
}

// By the fewest links from a node to every other. Flushing water comes in over a bowl's rim: nothing goes back through it.
function spread(
  arcs: ReadonlyMap<string, readonly Arc[]>,
  from: string,
  bowls: ReadonlySet<string>,
): ReadonlyMap<string, readonly string[]> {
  const ways = new Map<string, readonly string[]>([[from, []]]);
  const open = [from];
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    for (const { link, to } of arcs.get(node) ?? []) {
      if (bowls.has(link.id) || ways.has(to)) continue;
      ways.set(to, [...ways.get(node)!, link.id]);
      open.push(to);
    }
  }
  return ways;
}

const toHazard = (
  state: WorkingState,
  failure: Failure | null,
  from: string,
  end: GearGraph["ends"][number],
  way: readonly string[],
): Hazard => ({
  kind: "discharges",
  stateId: state.id,
  failure,
  water: "black",
  from,
  to: end.node,
  way,
  gearId: end.gearId,
  tankId: null,
  isDriven: true,
});
