import type { Design } from "../design/design";
import type { Gear, WorkingState } from "../design/gear";
import type { HeldWater } from "../design/plumbing";
import { findPumpTurns, type PumpTurns } from "./everyPump";
import { buildGearGraph, type GearEnd, type GearGraph, type GearLink } from "./gearGraph";
import { FOUL, listTargets } from "./interlock";
import { passesUndriven, standsOver, toPlace } from "./reach";
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
 * where that spares a turn. More that is open never takes a way away, so ways are searched by what they need open instead
 * of trying each position; held against trying each [C]. Tells its progress as a share; null when told to stop.
 */
export function proveEveryPosition(
  design: Design,
  onProgress: (share: number) => boolean = () => true,
): EveryPosition | null {
  const graph = buildGearGraph(design);
  const states = listJudgedStates(design);
  const failures: (Failure | null)[] = [null, ...listFailures(design.gear)];
  const best = new Map<string, WrongTurns>();
  for (const [i, failure] of failures.entries()) {
    for (const state of states) {
      for (const found of searchWays(design, graph, state, failure)) {
        const key = [found.from, found.to].join("|");
        const known = best.get(key);
        // a failure counts for more than a turn that is one less
        if (!known || found.turns.length < known.turns.length - (known.failure === null && failure !== null ? 1 : 0)) {
          best.set(key, found);
        }
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

function searchWays(design: Design, graph: GearGraph, state: WorkingState, failure: Failure | null): WrongTurns[] {
  const setting = toSetting(state, failure);
  const links = new Map<string, GearLink[]>();
  for (const link of [...graph.links, ...graph.drops]) {
    links.set(link.from, [...(links.get(link.from) ?? []), link]);
    links.set(link.to, [...(links.get(link.to) ?? []), link]);
  }
  return graph.ends.flatMap((source) => {
    if (!FOUL.has(source.holds) || !source.isEverWet) return [];
    const labels = spread(graph, links, source, setting, failure);
    return listTargets(graph, design.gear, () => true, source).flatMap((target): WrongTurns[] => {
      if (target.node === source.node) return [];
      const needsTap = source.holds === "sea" && target.tankId === null && !setting.isTapOpen(target.gearId!);
      const reached = (labels.get(target.node) ?? [])
        .filter(({ isDriven }) => isDriven || standsOver(source, toPlace(target)))
        .reduce<Label | null>((a, b) => (a && a.turns.length <= b.turns.length ? a : b), null);
      if (!reached) return [];
      const tap: Turn[] = needsTap ? [{ gearId: target.gearId!, to: "open" }] : [];
      return [
        {
          water: source.holds!,
          from: source.node,
          to: target.node,
          gearId: target.gearId,
          tankId: target.tankId,
          stateId: state.id,
          turns: [...reached.turns, ...tap],
          failure,
          way: listLinks(reached),
        },
      ];
    });
  });
}

// From one source by growing numbers of turns. A label is dropped where one came there before that needs no other turns.
function spread(
  graph: GearGraph,
  links: ReadonlyMap<string, readonly GearLink[]>,
  source: GearEnd,
  setting: Setting,
  failure: Failure | null,
): ReadonlyMap<string, readonly Label[]> {
  const kept = new Map<string, Label[]>();
  const rounds: Label[][] = [[{ node: source.node, isDriven: false, ways: [], turns: [], before: null, link: "" }]];
  for (let count = 0; count < rounds.length; count++) {
    const open = rounds[count] ?? [];
    for (let label = open.shift(); label; label = open.shift()) {
      if (!keep(kept, label)) continue;
      for (const link of links.get(label.node) ?? []) {
        for (const step of pass(link, link.from === label.node, setting, failure)) {
          const to = link.from === label.node ? link.to : link.from;
          const isDriven = label.isDriven || step.isDriven;
          if (!isDriven && !passesUndriven(source, link, graph.nodes.get(to)!)) continue;
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
