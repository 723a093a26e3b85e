import type { Gear, GearKind } from "../design/gear";
import { SAFE_OVER_WATER_MM } from "../hull/overWater";
import type { GearEnd, GearGraph, GearLink, GearNode } from "./gearGraph";
import { findPassing, type Passing, type Setting } from "./settings";

/** Water is not sucked over a rise of more than this, mm [P: 10 m of air pressure, less vapour and losses]. */
const MOST_SUCTION_MM = 9_000;

const LETS_AIR_IN = new Set<GearKind>(["ventedLoop", "airGap"]);

/** Whether air comes in where a link passes, so that nothing runs over it by itself. */
export const letsAirIn = (link: GearLink, { isAirShut }: Pick<Setting, "isAirShut">): boolean =>
  link.kind === "inside" && LETS_AIR_IN.has(link.gear.spec.kind) && !isAirShut(link.gear.id);

/** Whether water of a source comes by itself to what lies so high, mm. */
export const standsOver = (source: Pick<GearEnd, "kind" | "highMm">, { heightMm, overSeaMm }: Place): boolean =>
  source.kind === "sea" ? overSeaMm < SAFE_OVER_WATER_MM : source.highMm >= heightMm;

/** A place aboard: its height over the floor, and its least height over the sea, mm. */
export type Place = { readonly heightMm: number; readonly overSeaMm: number };

/** Whether water that nothing drives passes from a source to what lies so high: not sucked over too much, not over what lets air in, a vented loop or a gap. */
export function passesUndriven(source: Pick<GearEnd, "kind" | "highMm">, hasAir: boolean, to: GearNode): boolean {
  const place = { heightMm: to.atMm.z, overSeaMm: to.overSeaMm };
  if (place.heightMm - source.highMm > MOST_SUCTION_MM) return false;
  // air let in at the top of a vented loop, or at a gap, breaks what would run over it by itself
  return !hasAir || standsOver(source, place);
}

/** Where an end lies, by how high its water or its opening stands. */
export const toPlace = ({ headMm, overSeaMm }: GearEnd): Place => ({ heightMm: headMm, overSeaMm });

export type Arc = {
  readonly link: GearLink;
  readonly to: string;
  readonly isDriven: boolean;
  /** Air comes in on the way. */
  readonly hasAir: boolean;
};

/** What is open in a setting, from node to node. */
export function buildArcs({ links, drops }: GearGraph, setting: Setting): ReadonlyMap<string, readonly Arc[]> {
  const arcs = new Map<string, Arc[]>();
  const push = (from: string, arc: Arc) => {
    const list = arcs.get(from);
    if (list) list.push(arc);
    else arcs.set(from, [arc]);
  };
  for (const link of [...links, ...drops]) {
    const { forward, back, isDriven }: Passing = findPassing(link, setting);
    const hasAir = letsAirIn(link, setting);
    if (forward) push(link.from, { link, to: link.to, isDriven, hasAir });
    if (back) push(link.to, { link, to: link.from, isDriven: false, hasAir });
  }
  return arcs;
}

/** From node to node as if every piece let water both ways, and a pump drove it. */
export function buildBothWays({ links, drops }: GearGraph): ReadonlyMap<string, readonly Arc[]> {
  const arcs = new Map<string, Arc[]>();
  const put = (from: string, to: string, link: GearLink) =>
    arcs.set(from, [...(arcs.get(from) ?? []), { link, to, isDriven: true, hasAir: false }]);
  for (const link of [...links, ...drops]) {
    put(link.from, link.to, link);
    put(link.to, link.from, link);
  }
  return arcs;
}

export type Way = { readonly links: readonly string[]; readonly isDriven: boolean };

/**
 * From one source breadth first, once for what runs by itself and once for what a pump drives on the way: a pump on the
 * way takes it anywhere that is open; by itself it goes no higher than it can be sucked over [C].
 */
export function findWays(
  graph: GearGraph,
  arcs: ReadonlyMap<string, readonly Arc[]>,
  source: GearEnd,
): ReadonlyMap<string, Way> {
  const seen = { driven: new Set<string>(), undriven: new Set([source.node]) };
  const open = [new Step(source.node, false, null, "")];
  const ways = new Map<string, Way>();
  // what is put on the list is gone through in turn
  for (const step of open) {
    const known = ways.get(step.node);
    if (!known || (step.isDriven && !known.isDriven)) ways.set(step.node, step);
    for (const { link, to, isDriven, hasAir } of arcs.get(step.node) ?? []) {
      const driven = step.isDriven || isDriven;
      if (!driven && !passesUndriven(source, hasAir, graph.nodes.get(to)!)) continue;
      const reached = driven ? seen.driven : seen.undriven;
      if (reached.has(to)) continue;
      reached.add(to);
      open.push(new Step(to, driven, step, link.id));
    }
  }
  return ways;
}

/** The last step of a way; its links are put together when they are asked for, which of most ways nobody does. */
class Step implements Way {
  constructor(
    readonly node: string,
    readonly isDriven: boolean,
    private readonly before: Step | null,
    private readonly link: string,
  ) {}

  get links(): readonly string[] {
    const links: string[] = [];
    for (let at: Step | null = this; at?.before; at = at.before) links.push(at.link);
    return links.reverse();
  }
}

/** All nodes that are open to one, but for what lies behind gear that is left out. */
export function listReached(
  arcs: ReadonlyMap<string, readonly Arc[]>,
  from: string,
  isLeftOut: (gear: Gear) => boolean = () => false,
): ReadonlySet<string> {
  const seen = new Set([from]);
  const open = [from];
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    for (const { link, to } of arcs.get(node) ?? []) {
      if (seen.has(to) || (link.kind === "inside" && isLeftOut(link.gear))) continue;
      seen.add(to);
      open.push(to);
    }
  }
  return seen;
}

/** Whether water comes from one node to another by any open way that does not go through the pump itself. */
export function reaches(arcs: ReadonlyMap<string, readonly Arc[]>, from: string, to: string, pumpId: string): boolean {
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
