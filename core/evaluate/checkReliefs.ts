import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { buildGearGraph, toPortNode } from "../gear/gearGraph";
import { placeGearPort } from "../gear/gearPorts";
import { readPushKPa } from "../gear/pumpPush";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** A relief valve begins to drip at this share of what it is set to. From memory, no source [T]. */
export const DRIPS_AT = 0.9;

/** Water 1 mm high presses so hard, kPa [C]. */
const KPA_PER_MM = (WATER_DENSITY * GRAVITY) / 1e6;

/**
 * Relief valves that what pushes on them opens by itself: a pump up to where its switch stops it, kPa, or a tap outside, with the height
 * between; then they run whenever it is on, until its tank is empty. Pumps in a row and lost pressure are not counted. Common practice,
 * no source.
 */
export function checkReliefs(design: Design): Finding[] {
  const reliefs = design.gear.filter(({ spec }) => spec.kind === "relief");
  if (reliefs.length === 0) return [];
  const arcs = buildArcs(buildGearGraph(design), ALL_OPEN);
  const pushing = design.gear.flatMap((piece) => {
    const kPa = measurePushKPa(piece);
    return kPa === null ? [] : [{ piece, kPa, reached: listReached(arcs, toPortNode(piece.id, "out")) }];
  });
  return reliefs.flatMap((relief): Finding[] => {
    if (relief.spec.kind !== "relief") return [];
    const { setKPa } = relief.spec;
    const z = placeGearPort(relief, "in").z;
    const hardest = pushing
      .filter(({ reached }) => reached.has(toPortNode(relief.id, "in")))
      .map(({ piece, kPa }) => ({ piece, pushKPa: kPa + (placeGearPort(piece, "out").z - z) * KPA_PER_MM }))
      .sort((a, b) => b.pushKPa - a.pushKPa)[0];
    if (!hardest || hardest.pushKPa <= DRIPS_AT * setKPa) return [];
    const { piece, pushKPa } = hardest;
    const numbers = { code: "reliefRuns", setKPa, pushKPa, otherName: piece.name, otherId: piece.id } as const;
    return [createFinding({ kind: "gear", id: relief.id }, numbers)];
  });
}

function measurePushKPa({ spec }: Gear): number | null {
  if (spec.kind === "coupling") return spec.supplyKPa;
  return spec.kind === "pump" ? readPushKPa(spec) : null;
}
