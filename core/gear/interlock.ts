import type { Design } from "../design/design";
import type { Gear, WorkingState } from "../design/gear";
import type { HeldWater } from "../design/plumbing";
import { buildGearGraph, type GearEnd, type GearGraph, type GearLink } from "./gearGraph";
import { type Failure, findPassing, listFailures, type Passing, type Setting, toSetting } from "./settings";

export type HazardKind =
  /** Grey, black, loop or sea water comes into fresh water or to a tap one drinks or washes at. */
  | "fouls"
  /** Sea comes into a tank or out at a tap by itself. */
  | "floods"
  /** A pump that is on has no water to draw. */
  | "runsDry"
  /** A pump that is on has nowhere to pump to, and nothing cuts it out. */
  | "deadHead";

export type Hazard = {
  readonly kind: HazardKind;
  readonly stateId: string;
  readonly failure: Failure | null;
  /** What comes, for what fouls or floods. */
  readonly water: HeldWater | "sea" | null;
  /** Where it begins and ends: nodes of the graph; of a pump its own ports. */
  readonly from: string;
  readonly to: string;
  /** The links it goes along, in their order: ids of hoses and gear. */
  readonly way: readonly string[];
  /** Gear it is about: the pump, the tap; null for a tank. */
  readonly gearId: string | null;
  readonly tankId: string | null;
};

/** Tilt and a full tank against an empty one change what stands higher by as much, mm [T]. */
const MARGIN_MM = 400;
/** Water is not sucked over a rise of more than this, mm [P: 10 m of air pressure, less vapour and losses]. */
const MOST_SUCTION_MM = 9_000;

const FOUL = new Set<GearEnd["holds"]>(["grey", "black", "loop", "sea"]);

/**
 * Every way by which water can go where it must not, in every working state alone and with every single failure. Whether
 * it goes is decided by what is open and by what stands higher, a pump on the way counting as higher than anything: on the
 * safe side, for no flow is worked out [C; margin for tilt T].
 */
export function proveInterlock(design: Design): Hazard[] {
  const told = new Set<string>();
  return listEveryHazard(design).filter((hazard) => {
    // what happens without a failure is not told again with each; a state more adds nothing to a way that is told
    const { kind, from, to, gearId, failure } = hazard;
    const key = [kind, from, to, gearId].join("|");
    const own = failure === null ? key : `${key}|${toFailureKey(failure)}`;
    if (told.has(key) || told.has(own)) return false;
    told.add(own);
    return true;
  });
}

/** The same for every state and failure by itself, those without a failure first: as many as there are. */
export function listEveryHazard(design: Design): Hazard[] {
  if (design.gear.length === 0) return [];
  const graph = buildGearGraph(design);
  const failures: (Failure | null)[] = [null, ...listFailures(design.gear)];
  return failures.flatMap((failure) =>
    design.states.flatMap((state) => listHazards(design, graph, state, toSetting(state, failure), failure)),
  );
}

const toFailureKey = (failure: Failure): string => Object.values(failure).join(":");

function listHazards(
  { gear }: Design,
  graph: GearGraph,
  state: WorkingState,
  setting: Setting,
  failure: Failure | null,
): Hazard[] {
  const arcs = buildArcs(graph, setting);
  const common = { stateId: state.id, failure };
  const fouled = graph.ends.flatMap((source): Hazard[] => {
    if (!FOUL.has(source.holds) || source.isDry) return [];
    const reached = findWays(graph, arcs, source);
    return listTargets(graph, gear, setting, source).flatMap((target): Hazard[] => {
      const way = reached.get(target.node);
      if (!way || target.node === source.node) return [];
      if (!way.isDriven && !standsOver(source, target)) return [];
      const isSea = source.holds === "sea" && target.tankId !== null;
      return [
        {
          ...common,
          kind: isSea ? "floods" : "fouls",
          water: source.holds,
          from: source.node,
          to: target.node,
          way: way.links,
          gearId: target.gearId,
          tankId: target.tankId,
        },
      ];
    });
  });
  return [...fouled, ...listPumpHazards(graph, arcs, gear, setting).map((hazard) => ({ ...common, ...hazard }))];
}

const standsOver = (source: GearEnd, target: GearEnd): boolean =>
  source.headMm + MARGIN_MM + source.overKPa * 102 >= target.headMm;

/** Where foul water must not come to: fresh tanks, and taps for drinking and washing that are open or may be. */
function listTargets(graph: GearGraph, gear: readonly Gear[], setting: Setting, source: GearEnd): GearEnd[] {
  return graph.ends.filter((end) => {
    if (end.tankId !== null) {
      // the sea floods any tank, other waters foul what is fresh
      return source.holds === "sea" ? true : end.holds === "fresh";
    }
    const spec = gear.find(({ id }) => id === end.gearId)?.spec;
    if (spec?.kind !== "tap") return false;
    if (source.holds === "sea") return setting.isTapOpen(end.gearId!) && spec.use !== "deckWash";
    return spec.use === "drinking" || spec.use === "washing";
  });
}

type Arc = { readonly link: GearLink; readonly to: string; readonly isDriven: boolean };

function buildArcs({ links }: GearGraph, setting: Setting): ReadonlyMap<string, readonly Arc[]> {
  const arcs = new Map<string, Arc[]>();
  const push = (from: string, arc: Arc) => {
    const list = arcs.get(from);
    if (list) list.push(arc);
    else arcs.set(from, [arc]);
  };
  for (const link of links) {
    const { forward, back, isDriven }: Passing = findPassing(link, setting);
    if (forward) push(link.from, { link, to: link.to, isDriven });
    if (back) push(link.to, { link, to: link.from, isDriven: false });
  }
  return arcs;
}

type Way = { readonly links: readonly string[]; readonly isDriven: boolean };

// From one source breadth first, once for what runs by itself and once for what a pump drives on the way: a pump on the
// way takes it anywhere that is open; by itself it goes no higher than it can be sucked over.
function findWays(
  graph: GearGraph,
  arcs: ReadonlyMap<string, readonly Arc[]>,
  source: GearEnd,
): ReadonlyMap<string, Way> {
  type Step = {
    readonly node: string;
    readonly isDriven: boolean;
    readonly before: Step | null;
    readonly link: string;
  };
  const first: Step = { node: source.node, isDriven: false, before: null, link: "" };
  const seen = new Set([`${first.node}|false`]);
  const open = [first];
  const ways = new Map<string, Way>();
  for (let step = open.shift(); step; step = open.shift()) {
    const known = ways.get(step.node);
    if (!known || (step.isDriven && !known.isDriven)) ways.set(step.node, toWay(step));
    for (const { link, to, isDriven } of arcs.get(step.node) ?? []) {
      const driven = step.isDriven || isDriven;
      const riseMm = (graph.nodes.get(to)?.atMm.z ?? 0) - source.headMm;
      if (!driven && riseMm > MOST_SUCTION_MM) continue;
      // air let in at the top of a vented loop breaks what would run over it by itself
      const isBroken = link.kind === "inside" && link.gear.spec.kind === "ventedLoop" && riseMm > MARGIN_MM;
      if (!driven && isBroken) continue;
      const key = `${to}|${driven}`;
      if (seen.has(key)) continue;
      seen.add(key);
      open.push({ node: to, isDriven: driven, before: step, link: link.id });
    }
  }
  return ways;

  function toWay(last: Step): Way {
    const links: string[] = [];
    for (let at: Step | null = last; at?.before; at = at.before) links.unshift(at.link);
    return { links, isDriven: last.isDriven };
  }
}

type PumpHazard = Omit<Hazard, "stateId" | "failure">;

function listPumpHazards(
  graph: GearGraph,
  arcs: ReadonlyMap<string, readonly Arc[]>,
  gear: readonly Gear[],
  setting: Setting,
): PumpHazard[] {
  return gear.flatMap(({ id, spec }): PumpHazard[] => {
    if (spec.kind !== "pump" || !setting.isOn(id)) return [];
    const [inlet, outlet] = [`${id}:in`, `${id}:out`];
    const common = { water: null, from: inlet, to: outlet, way: [id], gearId: id, tankId: null };
    const wet = graph.ends.filter(
      (end) => !end.isDry && (end.kind === "tank" || end.kind === "sea" || end.kind === "supply"),
    );
    const feeds = wet.some((end) => reaches(arcs, end.node, inlet, id));
    const outs = new Set(
      graph.ends.flatMap((end) => {
        const piece = gear.find((one) => one.id === end.gearId)?.spec;
        if (piece?.kind === "tap") return setting.isTapOpen(end.gearId!) ? [end.node] : [];
        if (piece?.kind === "coupling") return setting.isTapOpen(end.gearId!) ? [end.node] : [];
        return [end.node];
      }),
    );
    const leaves = [...outs].some((node) => reaches(arcs, outlet, node, id));
    return [
      ...(feeds || spec.mayRunDry ? [] : [{ ...common, kind: "runsDry" } as const]),
      ...(leaves || spec.cutOutKPa !== null ? [] : [{ ...common, kind: "deadHead" } as const]),
    ];
  });
}

// Whether water comes from one node to another by any open way that does not go through the pump itself.
function reaches(arcs: ReadonlyMap<string, readonly Arc[]>, from: string, to: string, pumpId: string): boolean {
  const seen = new Set([from]);
  const open = [from];
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    if (node === to) return true;
    for (const arc of arcs.get(node) ?? []) {
      if (arc.link.id === pumpId || seen.has(arc.to)) continue;
      seen.add(arc.to);
      open.push(arc.to);
    }
  }
  return false;
}
