import type { Design } from "../design/design";
import type { Gear, WorkingState } from "../design/gear";
import { listDischarges } from "./discharges";
import { FOUL, listTargets } from "./foulTargets";
import { buildGearGraph, type GearGraph } from "./gearGraph";
import type { Hazard } from "./hazard";
import { listOverfills } from "./overfills";
import { type Arc, buildArcs, findWays, reaches, standsOver, toPlace } from "./reach";
import { listFloodedRims } from "./rims";
import { type Failure, listFailures, type Setting, toSetting } from "./settings";
import { listSpills } from "./spills";
import { listStored } from "./storedPressure";
import { listJudgedStates } from "./turns";

/**
 * Every way by which water can go where it must not, in every working state alone and with every single failure. Whether
 * it goes is decided by what is open and by what stands higher, a pump on the way counting as higher than anything: on the
 * safe side, for no flow is worked out [C; margin for tilt T].
 */
export function proveInterlock(design: Design): Hazard[] {
  const told = new Map<string, number>();
  const proven: Hazard[] = [];
  for (const hazard of listEveryHazard(design)) {
    // what happens without a failure is not told again with each; a state more adds nothing to a way that is told
    const { kind, from, to, gearId, failure } = hazard;
    // what runs onto the floor while somebody stands at a tap is another thing than what runs while nobody does
    const isWatched = kind === "spills" && isAttended(design, hazard.stateId);
    // nor is what runs by itself hidden by what only an accumulator presses on
    const key = [kind, from, to, gearId, isWatched, hazard.stored?.gearId].join("|");
    const own = failure === null ? key : `${key}|${toFailureKey(failure)}`;
    const known = told.get(own);
    // of states in which the same runs out the one in which it is worst speaks, whichever stands first
    if (known !== undefined && isSpill(hazard) && rankSpill(design, hazard) > rankSpill(design, proven[known]!))
      proven[known] = hazard;
    if (told.has(key) || known !== undefined) continue;
    told.set(own, proven.length);
    proven.push(hazard);
  }
  return proven;
}

const isSpill = ({ kind }: Hazard): boolean => kind === "spills" || kind === "runsOut";

/** The same for every state and failure by itself, those without a failure first: as many as there are. */
export function listEveryHazard(design: Design): Hazard[] {
  if (design.gear.length === 0) return [];
  const graph = buildGearGraph(design);
  const failures: (Failure | null)[] = [null, ...listFailures(design.gear)];
  const states = listJudgedStates(design);
  const running = failures.flatMap((failure) =>
    states.flatMap((state) => listHazards(design, graph, state, toSetting(state, failure), failure)),
  );
  const foul = [...running, ...listStored(design, graph, running)];
  return [
    ...foul.filter(({ failure }) => failure === null),
    ...foul.filter(({ failure }) => failure !== null),
    ...listSpills(design, graph),
    ...listDischarges(design, graph),
    ...listOverfills(design, graph, isAttended),
  ];
}

/** Whether somebody is there in this state: a tap is open, or a hand has opened a valve that is shut in another state. */
export function isAttended({ states, gear }: Design, stateId: string): boolean {
  const state = states.find(({ id }) => id === stateId);
  if (!state) return false;
  if (state.openTaps.length > 0) return true;
  const settings = states.map((one) => toSetting(one));
  const own = toSetting(state);
  return gear.some(
    (piece) =>
      piece.spec.kind === "valve" &&
      piece.spec.drive === "hand" &&
      own.positionOf(piece) === "open" &&
      settings.some((other) => other.positionOf(piece) === "shut"),
  );
}

/** What runs out of one tank is one thing, whichever hose or tap it is: the worst stands first and speaks for all. */
export function groupHazards(design: Design, hazards: readonly Hazard[]): (readonly [Hazard, ...Hazard[]])[] {
  const groups = new Map<string, [Hazard, ...Hazard[]]>();
  for (const hazard of hazards) {
    const { kind, tankId, gearId, from, to, failure, stateId } = hazard;
    const key = isSpill(hazard)
      ? [kind, tankId ?? gearId, failure === null].join("|")
      : [kind, from, to, stateId, JSON.stringify(failure)].join("|");
    const known = groups.get(key);
    if (!known) groups.set(key, [hazard]);
    else if (rankSpill(design, hazard) > rankSpill(design, known[0])) known.unshift(hazard);
    else known.push(hazard);
  }
  return [...groups.values()];
}

// All of it is worse than what stands over a high port, by itself worse than by a pump, with nobody by worse than under one's eyes.
const rankSpill = (design: Design, { isDriven, stateId, needsFull }: Hazard): number =>
  (needsFull ? 0 : 4) + (isDriven ? 0 : 2) + (isAttended(design, stateId) ? 0 : 1);

const toFailureKey = (failure: Failure): string => Object.values(failure).join(":");

function listHazards(
  design: Design,
  graph: GearGraph,
  state: WorkingState,
  setting: Setting,
  failure: Failure | null,
): Hazard[] {
  const { gear } = design;
  const arcs = buildArcs(graph, setting);
  const common = { stateId: state.id, failure };
  const fouled = graph.ends.flatMap((source): Hazard[] => {
    if (!FOUL.has(source.holds) || !source.isEverWet) return [];
    const rims = source.kind === "sea" ? listFloodedRims(design, graph, setting, source) : [];
    const flooded = rims.map(
      ({ gearId, node, way }): Hazard => ({
        ...common,
        kind: "floods",
        water: "sea",
        from: source.node,
        to: node,
        way,
        isDriven: false,
        gearId,
        tankId: null,
      }),
    );
    const reached = findWays(graph, arcs, source);
    const targets = listTargets(graph, gear, setting.isTapOpen, source).flatMap((target): Hazard[] => {
      const way = reached.get(target.node);
      if (!way || target.node === source.node) return [];
      if (!way.isDriven && !standsOver(source, toPlace(target))) return [];
      const isSea = source.holds === "sea" && target.tankId !== null;
      return [
        {
          ...common,
          kind: isSea ? "floods" : "fouls",
          water: source.holds,
          from: source.node,
          to: target.node,
          way: way.links,
          isDriven: way.isDriven,
          gearId: target.gearId,
          tankId: target.tankId,
        },
      ];
    });
    return [...targets, ...flooded];
  });
  return [...fouled, ...listPumpHazards(graph, arcs, gear, setting).map((hazard) => ({ ...common, ...hazard }))];
}

type PumpHazard = Omit<Hazard, "stateId" | "failure">;

/** Pumps that are on and have nothing to draw, or nowhere to pump to. */
export function listPumpHazards(
  graph: GearGraph,
  arcs: ReadonlyMap<string, readonly Arc[]>,
  gear: readonly Gear[],
  setting: Setting,
): PumpHazard[] {
  return gear.flatMap(({ id, spec }): PumpHazard[] => {
    if (spec.kind !== "pump" || !setting.isOn(id)) return [];
    const [inlet, outlet] = [`${id}:in`, `${id}:out`];
    const common = { water: null, from: inlet, to: outlet, way: [id], gearId: id, tankId: null, isDriven: true };
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
