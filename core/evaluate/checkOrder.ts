import type { Design } from "../design/design";
import type { Gear, GearOf } from "../design/gear";
import { buildGearGraph, toPortNode } from "../gear/gearGraph";
import { type Arc, buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

type Arcs = ReadonlyMap<string, readonly Arc[]>;

/**
 * From each filter the way the water goes: a finer one before a coarser one takes all the dirt; from each pump the next
 * one. Common practice, no source.
 */
export function checkOrder(design: Design): Finding[] {
  const { gear } = design;
  const [filters, pumps] = [gear.filter(isFilter), gear.filter(({ spec }) => spec.kind === "pump")];
  if (filters.length < 2 && pumps.length < 2) return [];
  const arcs = buildArcs(buildGearGraph(design), ALL_OPEN);
  // behind it, and not before it as well by a way round
  const isBehind = (piece: Gear, other: Gear) => comesTo(arcs, piece, other) && !comesTo(arcs, other, piece);
  return [
    ...filters.flatMap((piece): Finding[] => {
      const other = filters.find((one) => one.spec.micron > piece.spec.micron && isBehind(piece, one));
      if (!other) return [];
      const numbers = { code: "filterOrder", otherId: other.id, otherName: other.name } as const;
      return [createFinding({ kind: "gear", id: piece.id }, numbers)];
    }),
    ...pumps.flatMap((piece): Finding[] => {
      const other = pumps.find((one) => one !== piece && isBehind(piece, one));
      if (!other) return [];
      const numbers = { code: "pumpsInRow", otherId: other.id, otherName: other.name } as const;
      return [createFinding({ kind: "gear", id: piece.id }, numbers)];
    }),
  ];
}

const isFilter = (piece: Gear): piece is GearOf<"filter"> => piece.spec.kind === "filter";

// From the outlet of one to the inlet of another of its kind, past no third of them.
const comesTo = (arcs: Arcs, from: Gear, to: Gear): boolean =>
  listReached(arcs, toPortNode(from.id, "out"), ({ spec }) => spec.kind === from.spec.kind).has(
    toPortNode(to.id, "in"),
  );
