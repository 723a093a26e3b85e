import type { Design } from "../design/design";
import type { Gear, WorkingState } from "../design/gear";
import type { HeldWater } from "../design/plumbing";
import { findPumpTurns, type PumpTurns } from "./everyPump";
import { FOUL, listTargets } from "./foulTargets";
import { buildGearGraph, type GearEnd, type GearGraph, type GearLink } from "./gearGraph";
import { letsAirIn, passesUndriven, standsOver, toPlace } from "./reach";
import { type Failure, listFailures, type Setting, toSetting } from "./settings";
import { listJudgedStates, type Turn } from "./turns";

/** A way for foul water, and the fewest wrong turns from any working state that open it. */
export type WrongTurns = {
  readonly water: HeldWater | "sea";
  readonly from: string;
  readonly to: string;
  readonly gearId: string | null;
  readonly tankId: string | null;
  /** The working state it is nearest to; empty where the design has none and all is at rest. */
  readonly stateId: string;
  readonly turns: readonly Turn[];
  readonly failure: Failure | null;
  readonly way: readonly string[];
  /** The accumulator it stands in under pressure, pressed in before anything was turned; null where it comes from where it is held. */
  readonly storedIn: string | null;
};

export type EveryPosition = {
  /** All positions of all valves, pumps, taps and couplings there are. */
  readonly positions: number;
  /** Single failures each of them is held against. */
  readonly failures: number;
  readonly ways: readonly WrongTurns[];
  /** Pumps that can run dry or against a shut line. */
  readonly pumps: readonly PumpTurns[];
};

const MOVES = new Set<Gear["spec"]["kind"]>(["valve", "diverter", "pump", "tap", "coupling"]);

/**
 * Every way by which grey, black, loop or sea water reaches fresh water or a tap, over all positions of all valves, pumps
 * and taps, each alone and with every single failure: with the fewest turns from a working state, and with a failure only
 * where that spares a turn; what an accumulator presses on is searched from there. More that is open never takes a way away,
 * so ways are searched by what they need open instead of trying each position; held against trying each [C]. Tells its progress as a share; null when told to stop.
 */
export function proveEveryPosition(
  design: Design,
  onProgress: (share: number) => boolean = () => true,
): EveryPosition | null {
  const graph = buildGearGraph(design);
  const search: Search = { design, graph, links: indexLinks(graph) };
  const states = listJudgedStates(design);
  const failures: (Failure | null)[] = [null, ...listFailures(design.gear)];
  const best = new Map<string, WrongTurns>();
  for (const [i, failure] of failures.entries()) {
    const charges: Charges = new Map();
    const running = states.flatMap((state) => searchWays(search, state, failure, charges));
    // what stands in an accumulator was pressed in before anything was turned
    const stored = states.flatMap((state) => searchStored(search, state, failure, charges));
    const direct = new Map<string, number>();
    for (const { to, turns } of running) direct.set(to, Math.min(turns.length, direct.get(to) ?? Infinity));
    const sooner = stored.filter(({ to, turns }) => turns.length < (direct.get(to) ?? Infinity));
    for (const found of [...running, ...sooner]) {
      const key = [found.from, found.to, found.storedIn].join("|");
      const known = best.get(key);
      // a failure counts for more than a turn that is one less
      if (!known || found.turns.length < known.turns.length - (known.failure === null && failure !== null ? 1 : 0)) {
        best.set(key, found);
      }
    }
    if (!onProgress((i + 1) / failures.length)) return null;
  }
  return {
    positions: 2 ** design.gear.filter(({ spec }) => MOVES.has(spec.kind)).length,
    failures: failures.length - 1,
    ways: [...best.values()].sort((a, b) => weigh(a) - weigh(b)),
    pumps: findPumpTurns(design),
  };
}

const weigh = ({ turns, failure }: WrongTurns): number => turns.length + (failure ? 1 : 0);

type Label = {
  readonly node: string;
  readonly isDriven: boolean;
  /** Ways of three-way valves it came by, as ids of links: such a valve does not stand at two of them. */
  readonly ways: readonly string[];
  readonly turns: readonly Turn[];
  readonly before: Label | null;
  readonly link: string;
};

/** A design as it is searched, with the links at every node. */
type Search = {
  readonly design: Design;
  readonly graph: GearGraph;
  readonly links: ReadonlyMap<string, readonly GearLink[]>;
};

/** Accumulators that a pump may press foul water into, by their nodes, and what comes from where. */
type Charges = Map<string, { readonly water: NonNullable<GearEnd["holds"]>; readonly from: string }>;

// From an accumulator under pressure: height is no hindrance, and no pump has to run.
function searchStored(
  { design, graph, links }: Search,
  state: WorkingState,
  failure: Failure | null,
  charges: Charges,
) {
  const setting = toSetting(state, failure);
  return [...charges].flatMap(([node, { water, from }]): WrongTurns[] => {
    const labels = spread(graph, links, { node, highMm: Infinity, kind: "tank" }, setting, failure, true);
    return listTargets(graph, design.gear, () => true, { holds: "loop" }).flatMap((target): WrongTurns[] => {
      const reached = findFewest(labels.get(target.node) ?? []);
      if (!reached) return [];
      const storedIn = node.slice(0, node.lastIndexOf(":"));
      return [toWrongTurns(reached, target, { water, from, stateId: state.id, failure, storedIn })];
    });
  });
}

type Begun = Pick<WrongTurns, "water" | "from" | "stateId" | "failure" | "storedIn">;

const toWrongTurns = (
  reached: Label,
  { node: to, gearId, tankId }: GearEnd,
  begun: Begun,
  more: readonly Turn[] = [],
): WrongTurns => ({ ...begun, to, gearId, tankId, turns: [...reached.turns, ...more], way: listLinks(reached) });

const findFewest = (labels: readonly Label[]): Label | null =>
  labels.reduce<Label | null>((a, b) => (a && a.turns.length <= b.turns.length ? a : b), null);

function indexLinks(graph: GearGraph): ReadonlyMap<string, readonly GearLink[]> {
  const links = new Map<string, GearLink[]>();
  for (const link of [...graph.links, ...graph.drops]) {
    links.set(link.from, [...(links.get(link.from) ?? []), link]);
    links.set(link.to, [...(links.get(link.to) ?? []), link]);
  }
  return links;
}

function searchWays({ design, graph, links }: Search, state: WorkingState, failure: Failure | null, charges: Charges) {
  const setting = toSetting(state, failure);
  const accumulators = design.gear.flatMap(({ id, spec }) => (spec.kind === "accumulator" ? [`${id}:in`] : []));
  return graph.ends.flatMap((source): WrongTurns[] => {
    if (!FOUL.has(source.holds) || !source.isEverWet) return [];
    const labels = spread(graph, links, source, setting, failure);
    for (const node of accumulators) {
      // of several waters the one whose end comes first by name speaks, whatever the order in the file
      const known = charges.get(node)?.from;
      if ((known === undefined || source.node < known) && labels.get(node)?.some(({ isDriven }) => isDriven))
        charges.set(node, { water: source.holds!, from: source.node });
    }
    return listTargets(graph, design.gear, () => true, source).flatMap((target): WrongTurns[] => {
      if (target.node === source.node) return [];
      const needsTap = source.holds === "sea" && target.tankId === null && !setting.isTapOpen(target.gearId!);
      const reached = findFewest(
        (labels.get(target.node) ?? []).filter(({ isDriven }) => isDriven || standsOver(source, toPlace(target))),
      );
      if (!reached) return [];
      const tap: Turn[] = needsTap ? [{ gearId: target.gearId!, to: "open" }] : [];
      const begun = { water: source.holds!, from: source.node, stateId: state.id, failure, storedIn: null };
      return [toWrongTurns(reached, target, begun, tap)];
    });
  });
}

// From one source by growing numbers of turns. A label is dropped where one came there before that needs no other turns.
function spread(
  graph: GearGraph,
  links: ReadonlyMap<string, readonly GearLink[]>,
  source: Pick<GearEnd, "node" | "highMm" | "kind">,
  setting: Setting,
  failure: Failure | null,
  isPressed = false,
): ReadonlyMap<string, readonly Label[]> {
  const kept = new Map<string, Label[]>();
  const rounds: Label[][] = [[{ node: source.node, isDriven: isPressed, ways: [], turns: [], before: null, link: "" }]];
  for (let count = 0; count < rounds.length; count++) {
    const open = rounds[count] ?? [];
    for (let label = open.shift(); label; label = open.shift()) {
      if (!keep(kept, label)) continue;
      for (const link of links.get(label.node) ?? []) {
        for (const step of pass(link, link.from === label.node, setting, failure)) {
          const to = link.from === label.node ? link.to : link.from;
          const isDriven = label.isDriven || step.isDriven;
          if (!isDriven && !passesUndriven(source, letsAirIn(link, setting), graph.nodes.get(to)!)) continue;
          const diverter = link.kind === "inside" && link.gear.spec.kind === "diverter" ? link.gear.id : null;
          const isBound = diverter !== null && !setting.isHalfWay(diverter);
          if (isBound && label.ways.some((id) => id !== link.id && id.startsWith(`${diverter}.`))) continue;
          const { turn } = step;
          const isNew = turn !== null && !label.turns.some(({ gearId }) => gearId === turn.gearId);
          const next: Label = {
            node: to,
            isDriven,
            ways: isBound && !label.ways.includes(link.id) ? [...label.ways, link.id] : label.ways,
            turns: isNew ? [...label.turns, turn] : label.turns,
            before: label,
            link: link.id,
          };
          const at = next.turns.length;
          rounds[at] ??= [];
          rounds[at].push(next);
        }
      }
    }
  }
  return kept;
}

function keep(kept: Map<string, Label[]>, label: Label): boolean {
  const there = kept.get(label.node) ?? [];
  const isWorse = there.some(
    (known) =>
      (known.isDriven || !label.isDriven) &&
      known.ways.every((id) => label.ways.includes(id)) &&
      known.turns.every(({ gearId, to }) => label.turns.some((turn) => turn.gearId === gearId && turn.to === to)),
  );
  if (isWorse) return false;
  kept.set(label.node, [...there, label]);
  return true;
}

type Step = { readonly isDriven: boolean; readonly turn: Turn | null };
const FREE: readonly Step[] = [{ isDriven: false, turn: null }];

// How water may pass a link, and what has to be turned for it; empty where nothing a hand does lets it through.
function pass(link: GearLink, isForward: boolean, setting: Setting, failure: Failure | null): readonly Step[] {
  if (link.kind === "hose") return FREE;
  const { gear, branch } = link;
  const { spec } = gear;
  const isStuck =
    (failure?.kind === "stuck" && failure.gearId === gear.id) ||
    (failure?.kind === "powerLost" && "drive" in spec && spec.drive === "motor" && spec.atRest !== "stays");
  switch (spec.kind) {
    case "pump": {
      const standing = isForward || spec.pump === "centrifugal" || setting.leaksBack(gear.id) ? FREE : [];
      if (!isForward) return standing;
      if (setting.isOn(gear.id)) return [{ isDriven: true, turn: null }];
      return failure?.kind === "powerLost"
        ? standing
        : [...standing, { isDriven: true, turn: { gearId: gear.id, to: "on" } }];
    }
    case "nonReturn":
      return isForward || setting.leaksBack(gear.id) ? FREE : [];
    case "airGap":
      return isForward ? FREE : [];
    case "valve":
      if (setting.positionOf(gear) === "open") return FREE;
      return isStuck ? [] : [{ isDriven: false, turn: { gearId: gear.id, to: "open" } }];
    case "diverter":
      if (setting.isHalfWay(gear.id) || setting.positionOf(gear) === branch) return FREE;
      return isStuck || branch === null ? [] : [{ isDriven: false, turn: { gearId: gear.id, to: branch } }];
    default:
      return FREE;
  }
}

function listLinks(last: Label): string[] {
  const links: string[] = [];
  for (let at: Label | null = last; at?.before; at = at.before) links.unshift(at.link);
  return links;
}
