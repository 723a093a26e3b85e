import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { measureCapacityL } from "../geometry/solid";
import { MM3_PER_L } from "../quantity/convert";
import { computeBleachMl } from "../road/care";
import { buildGearGraph } from "./gearGraph";
import { measureHeldL } from "./heldWater";
import { findLoopShower } from "./loopShower";
import { buildArcs } from "./reach";
import { ALL_OPEN } from "./settings";

export type LoopCare = {
  readonly tankName: string;
  readonly pumpName: string;
  readonly headName: string;
  /** Filters in the order the water meets them. */
  readonly filters: readonly Gear[];
  /** The first of carbon, which eats chlorine and so comes out while the loop is sanitised. */
  readonly carbon: Gear | null;
  readonly lamp: Gear | null;
  readonly accumulator: Gear | null;
  /** Gear that stands higher than all it is joined to: there air stays. */
  readonly highest: readonly Gear[];
  /** Tank, hoses and chambers, L, and bleach of 5 % for it, mL. */
  readonly volumeL: number;
  readonly bleachMl: number;
  /** Water let through new filters before the lamp is lit, L: three times what is in the hoses, one at least [T]. */
  readonly flushL: number;
};

/** What keeping the loop asks for, from its parts in the order the water meets them; null without a loop that runs [C on T]. */
export function listLoopCare(design: Design): LoopCare | null {
  const found = findLoopShower(design);
  const tank = design.tanks.find(({ holds }) => holds === "loop");
  if (!found || !tank) return null;
  const graph = buildGearGraph(design);
  const arcs = buildArcs(graph, ALL_OPEN);
  const order: string[] = [];
  const seen = new Set<string>();
  const open = graph.ends.filter(({ tankId, isDry }) => tankId === tank.id && !isDry).map(({ node }) => node);
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    for (const { link, to } of arcs.get(node) ?? []) {
      if (seen.has(to)) continue;
      seen.add(to);
      if (link.kind === "inside") order.push(link.gear.id);
      open.push(to);
    }
  }
  const met = order.flatMap((id) => design.gear.find((piece) => piece.id === id) ?? []);
  const first = (kind: Gear["spec"]["kind"]) => met.find(({ spec }) => spec.kind === kind) ?? null;
  const hosesL = graph.links.reduce(
    (sum, link) =>
      link.kind === "hose" && (seen.has(link.from) || seen.has(link.to))
        ? sum + ((Math.PI / 4) * link.pipe.innerMm ** 2 * link.lengthMm) / MM3_PER_L
        : sum,
    0,
  );
  // housings hold water too, with their cartridge out all the more
  const gearL = met.reduce((sum, piece) => sum + (measureHeldL(piece) ?? 0), 0);
  const volumeL = measureCapacityL(tank.solid) + hosesL + gearL;
  return {
    tankName: tank.name,
    pumpName: first("pump")?.name ?? "the pump",
    headName: found.tap.name,
    filters: met.filter(({ spec }) => spec.kind === "filter"),
    carbon: met.find(({ spec }) => spec.kind === "filter" && spec.medium !== "sediment") ?? null,
    lamp: first("uvLamp"),
    accumulator: found.accumulators[0] ?? null,
    highest: met.filter(({ id, atMm, sizeMm }) => {
      const topMm = atMm.z + sizeMm.z;
      const joined = graph.links.flatMap((link) =>
        link.kind === "hose" && [link.from, link.to].some((node) => node.startsWith(`${id}:`))
          ? [link.from, link.to].filter((node) => !node.startsWith(`${id}:`))
          : [],
      );
      return joined.length > 0 && joined.every((node) => (graph.nodes.get(node)?.atMm.z ?? 0) < topMm);
    }),
    volumeL,
    bleachMl: computeBleachMl(volumeL, 5),
    flushL: Math.max(1, hosesL * 3),
  };
}
