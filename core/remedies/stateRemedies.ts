import type { Design } from "../design/design";
import { freeId } from "../design/freeId";
import type { WorkingState } from "../design/gear";
import type { PartRef } from "../design/part";
import { buildGearGraph, toPortNode } from "../gear/gearGraph";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import type { Remedy } from "./remedy";

/** A working state of its own for a tap, with each pump that can feed it; for a pump, with each tap it can feed, and with none. */
export function proposeOwnState(design: Design, at: PartRef): Remedy[] {
  const piece = design.gear.find(({ id }) => at.kind === "gear" && id === at.id);
  if (!piece) return [];
  const arcs = buildArcs(buildGearGraph(design), ALL_OPEN);
  const all = (kind: "pump" | "tap") => design.gear.filter(({ spec }) => spec.kind === kind).map(({ id }) => id);
  const feeds = (pump: string, tap: string) => listReached(arcs, toPortNode(pump, "out")).has(toPortNode(tap, "in"));
  switch (piece.spec.kind) {
    case "tap":
      return all("pump").flatMap((pump) => (feeds(pump, piece.id) ? [offer(design, at, [pump], [piece.id])] : []));
    case "pump":
      return [
        ...all("tap").flatMap((tap) => (feeds(piece.id, tap) ? [offer(design, at, [piece.id], [tap])] : [])),
        offer(design, at, [piece.id], []),
      ];
    default:
      return [];
  }
}

function offer({ states, gear }: Design, at: PartRef, on: readonly string[], openTaps: readonly string[]): Remedy {
  const names = [...openTaps, ...on].map((id) => gear.find((piece) => piece.id === id)!.name);
  const value: WorkingState = {
    id: freeId("state", states),
    name: names.join(", ").slice(0, 80),
    on: [...on],
    positions: [],
    openTaps: [...openTaps],
  };
  return {
    byMm: null,
    edit: { code: "addState", at, ops: [{ op: "insert", path: ["states"], index: states.length, value }] },
  };
}
