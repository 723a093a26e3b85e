import type { Design } from "../design/design";
import { add, vec } from "../geometry/vec";
import { measureWorstOverWater } from "../hull/overWater";
import { createRecall } from "../quantity/recall";
import { type GearEnd, type GearGraph, toPortNode } from "./gearGraph";
import { listGearPorts } from "./gearPorts";
import { buildArcs, findWays, type Place, standsOver } from "./reach";
import type { Setting } from "./settings";

/** An open vessel aboard that runs over when water comes into it by itself: the nodes it comes by, and where its rim is. */
type Rim = { readonly gearId: string; readonly nodes: readonly string[]; readonly place: Place };

const recallRims = createRecall<Design["gear"], readonly Rim[]>();

/** Bowls by both their ports, and sump boxes by their pump's; every state and failure asks for them. */
const listRims = (design: Design): readonly Rim[] =>
  recallRims(design.gear, [design.rig, design.tanks], () => findRims(design));

const findRims = (design: Design): Rim[] =>
  design.gear.flatMap(({ id: gearId, spec, atMm, sizeMm }): Rim[] => {
    if (spec.kind !== "bowl" && spec.kind !== "sump") return [];
    const rim = add(atMm, vec(sizeMm.x / 2, sizeMm.y / 2, sizeMm.z));
    const place = { heightMm: rim.z, overSeaMm: measureWorstOverWater(design, rim).overMm };
    return [{ gearId, nodes: listGearPorts(spec.kind).map((port) => toPortNode(gearId, port)), place }];
  });

/** A rim the sea comes over by itself, and the links it comes along. */
export type FloodedRim = { readonly gearId: string; readonly node: string; readonly way: readonly string[] };

/**
 * The rims that the water behind an end comes over with nothing driving it, in a setting: what is open lets it through, no vented
 * loop stands over it, and it stands over the rim. What a pump drives into a bowl is a flush and meant [C; margins T].
 */
export function listFloodedRims(design: Design, graph: GearGraph, setting: Setting, source: GearEnd): FloodedRim[] {
  const rims = listRims(design).filter(({ place }) => standsOver(source, place));
  if (rims.length === 0) return [];
  const ways = findWays(graph, buildArcs(graph, { ...setting, isOn: () => false }), source);
  return rims.flatMap(({ gearId, nodes }) => {
    const node = nodes.find((one) => ways.has(one));
    return node ? [{ gearId, node, way: ways.get(node)!.links }] : [];
  });
}
