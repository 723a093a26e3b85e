import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import { MOST_STATES, type WorkingState } from "../design/gear";
import type { PartRef } from "../design/part";
import { buildGearGraph, toPortNode } from "../gear/gearGraph";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN, RESTING } from "../gear/settings";
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

/** A working state for every tap with what feeds it, and one in which everything rests. */
export function proposeStates(design: Design): Remedy[] {
  const arcs = buildArcs(buildGearGraph(design), ALL_OPEN);
  const pumps = design.gear.filter(({ spec }) => spec.kind === "pump");
  const taps = design.gear.filter(({ spec }) => spec.kind === "tap");
  const served = new Set<string>();
  const used = taps.map((tap) => {
    const pump = pumps.find(({ id }) => listReached(arcs, toPortNode(id, "out")).has(toPortNode(tap.id, "in")));
    if (pump) served.add(pump.id);
    return { on: pump ? [pump.id] : [], openTaps: [tap.id] };
  });
  const others = pumps.filter(({ id }) => !served.has(id)).map(({ id }) => ({ on: [id], openTaps: [] }));
  const told = [{ on: [], openTaps: [] }, ...used, ...others].slice(0, MOST_STATES);
  const ops = told.reduce<{ readonly made: readonly WorkingState[]; readonly ops: readonly EditOp[] }>(
    ({ made, ops }, { on, openTaps }) => {
      const value = buildState(design, made, on, openTaps);
      return { made: [...made, value], ops: [...ops, { op: "insert", path: ["states"], index: made.length, value }] };
    },
    { made: design.states, ops: [] },
  ).ops;
  return [{ byMm: null, edit: { code: "addStates", at: { kind: "rig" }, ops } }];
}

/** Every valve that a state leaves shut, opened in it. */
export function proposeOpened({ states, gear }: Design, stateId: string): Remedy[] {
  const state = states.find(({ id }) => id === stateId);
  if (!state) return [];
  return gear.flatMap(({ id, spec }): Remedy[] => {
    const at = state.positions.find(({ gearId }) => gearId === id)?.at ?? RESTING.valve;
    if (spec.kind !== "valve" || at === "open") return [];
    const value = [...state.positions.filter(({ gearId }) => gearId !== id), { gearId: id, at: "open" as const }];
    const op: EditOp = { op: "set", path: ["states", stateId, "positions"], value };
    return [{ byMm: null, edit: { code: "openInState", at: { kind: "gear", id }, ops: [op] } }];
  });
}

const REST_NAME = "Standby";

function offer(design: Design, at: PartRef, on: readonly string[], openTaps: readonly string[]): Remedy {
  const value = buildState(design, design.states, on, openTaps);
  const op: EditOp = { op: "insert", path: ["states"], index: design.states.length, value };
  return { byMm: null, edit: { code: "addState", at, ops: [op] } };
}

function buildState(
  { gear }: Design,
  states: readonly WorkingState[],
  on: readonly string[],
  openTaps: readonly string[],
): WorkingState {
  const names = [...openTaps, ...on].map((id) => gear.find((piece) => piece.id === id)!.name);
  return {
    id: freeId("state", states),
    name: names.length === 0 ? REST_NAME : names.join(", ").slice(0, 80),
    on: [...on],
    positions: [],
    openTaps: [...openTaps],
  };
}
