import type { Design } from "../design/design";
import type { BowlKind, Gear } from "../design/gear";
import type { HeldWater } from "../design/plumbing";
import { buildGearGraph, type GearLink, toPortNode } from "./gearGraph";
import { listHot } from "./hotWays";
import { findHardest, listPushes, shiftKPa } from "./pushes";
import { type Arc, buildArcs, buildBothWays, listReached } from "./reach";
import { ALL_OPEN } from "./settings";

/** What a hose is to be bought for. */
export type HoseDuty = {
  /** The most that can come to stand in it, gauge, kPa, and the piece it comes from; null where nothing pushes. */
  readonly pressed: { readonly kPa: number; readonly gearId: string } | null;
  /** A pump, a toilet or a pump-out station draws through it: a soft one goes flat. */
  readonly isDrawn: boolean;
  /** Water of a heater comes to it, past a mixer too, which is set by hand. */
  readonly isHot: boolean;
  /** Fresh water comes to it. */
  readonly isDrunk: boolean;
  /** What comes from a toilet or a black tank goes through it. */
  readonly isSewage: boolean;
  /** The toilet whose own pump sends waste through it; what that pump gives stands on its sheet alone. */
  readonly flushedBy: string | null;
};

/** Where a toilet draws by itself, and whether its own pump sends waste on; its usual flush is pushed to it [T]. */
const OWN_PUMP = {
  handPump: { drawsAt: ["flush"], sends: true },
  macerating: { drawsAt: ["flush"], sends: true },
  vacuum: { drawsAt: ["waste"], sends: true },
  gravity: { drawsAt: [], sends: false },
} as const satisfies Record<BowlKind, { readonly drawsAt: readonly string[]; readonly sends: boolean }>;

const isBowl = ({ spec }: Gear): boolean => spec.kind === "bowl";

type Arcs = ReadonlyMap<string, readonly Arc[]>;

/** Between these a heater's water has nowhere to grow to: what lets it go is the relief valve. */
const SHUTS = new Set<Gear["spec"]["kind"]>(["valve", "diverter", "nonReturn", "pump"]);
const PARTS = new Set<Gear["spec"]["kind"]>(["pump", "airGap", "bowl"]);

/**
 * What each hose must bear, by its id, with every valve open and every tap shut: the hardest push of any pump or tap outside, and beside a
 * heater what its relief valve lets come. Knocks when a tap is shut, a heavy hand and age are not counted; what a toilet's own pump gives is not
 * known, only where it sends to. Source: hydrostatics [C]; that mixers and heaters let hot water go either way, common practice [T].
 */
export function listHoseDuties(design: Design): ReadonlyMap<string, HoseDuty> {
  const graph = buildGearGraph(design);
  const arcs = buildArcs(graph, ALL_OPEN);
  const both = buildBothWays(graph);
  const pushes = listPushes(design.gear, arcs);
  const hot = listHot(
    design.gear,
    arcs,
    design.gear.filter(({ spec }) => spec.kind === "heater"),
  );
  const drawn = spread(
    design.gear.flatMap(({ id, spec }) => {
      if (spec.kind === "pump") return [toPortNode(id, "in")];
      if (spec.kind === "bowl") return OWN_PUMP[spec.bowl].drawsAt.map((port) => toPortNode(id, port));
      return spec.kind === "deckFitting" ? [toPortNode(id, "out")] : [];
    }),
    (node) => listReached(both, node, ({ spec }) => PARTS.has(spec.kind)),
  );
  // what has come to an end goes no further as what it was, and nothing that went through a toilet is drunk
  const ends = new Set(graph.ends.map(({ node }) => node));
  const onward = new Map([...arcs].filter(([node]) => !ends.has(node)));
  const spreadWater = (water: HeldWater) =>
    spread(
      graph.ends.flatMap(({ node, holds }) => (holds === water ? [node] : [])),
      (node) => listReached(new Map([...onward, [node, arcs.get(node) ?? []]]), node, isBowl),
    );
  const [drunk, black] = [spreadWater("fresh"), spreadWater("black")];
  const flushed = design.gear.flatMap(({ id, spec }) =>
    spec.kind === "bowl"
      ? [{ id, hasPump: OWN_PUMP[spec.bowl].sends, nodes: listReached(onward, toPortNode(id, "waste"), isBowl) }]
      : [],
  );
  const reliefs = listReliefs(design.gear, both);
  const isHose = (link: GearLink) => link.kind === "hose";
  // where it grows hot backwards: at a heater's inlet, and where its relief valve lets go
  const warms = new Set([
    ...design.gear.flatMap(({ id, spec }) => (spec.kind === "heater" ? [toPortNode(id, "in")] : [])),
    ...reliefs.map(({ relief }) => toPortNode(relief.id, "in")),
  ]);
  return new Map(
    graph.links.filter(isHose).map(({ id, from, to }): [string, HoseDuty] => {
      const isIn = (nodes: ReadonlySet<string>) => nodes.has(from) && nodes.has(to);
      const pressed = [from, to].flatMap((node) => {
        const [piece, port] = findPort(design.gear, node);
        if (!piece) return [];
        const push = findHardest(pushes, piece, port);
        const grown = reliefs
          .filter(({ nodes }) => isIn(nodes))
          .map(({ relief, setKPa }) => ({ kPa: shiftKPa(setKPa, [relief, "in"], [piece, port]), gearId: relief.id }));
        return [...(push ? [{ kPa: push.pushKPa, gearId: push.piece.id }] : []), ...grown];
      });
      const flushes = flushed.filter(({ nodes }) => isIn(nodes));
      const [hardest = null] = pressed.filter(({ kPa }) => kPa > 0).sort((a, b) => b.kPa - a.kPa);
      return [
        id,
        {
          pressed: hardest,
          isDrawn: hardest === null && isIn(drawn),
          isHot: isIn(hot) || warms.has(from) || warms.has(to),
          isDrunk: isIn(drunk),
          isSewage: flushes.length > 0 || isIn(black),
          flushedBy: flushes.find(({ hasPump }) => hasPump)?.id ?? null,
        },
      ];
    }),
  );
}

const spread = (nodes: readonly string[], reach: (node: string) => ReadonlySet<string>): ReadonlySet<string> =>
  new Set(nodes.flatMap((node) => [...reach(node)]));

function findPort(gear: readonly Gear[], node: string): readonly [Gear | undefined, string] {
  const at = node.lastIndexOf(":");
  return [gear.find(({ id }) => toPortNode(id, node.slice(at + 1)) === node), node.slice(at + 1)];
}

// The relief valves beside a heater, with all that its water presses on before one of them opens.
function listReliefs(gear: readonly Gear[], both: Arcs) {
  const heaters = gear.filter(({ spec }) => spec.kind === "heater");
  return gear.flatMap((relief) => {
    if (relief.spec.kind !== "relief") return [];
    const { setKPa } = relief.spec;
    const nodes = listReached(both, toPortNode(relief.id, "in"), ({ spec }) => SHUTS.has(spec.kind));
    return heaters.some(({ id }) => nodes.has(toPortNode(id, "in")) || nodes.has(toPortNode(id, "out")))
      ? [{ relief, setKPa, nodes }]
      : [];
  });
}
