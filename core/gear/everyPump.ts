import type { Design } from "../design/design";
import type { Gear, Position, WorkingState } from "../design/gear";
import { buildGearGraph } from "./gearGraph";
import { listPumpHazards } from "./interlock";
import { buildArcs } from "./reach";
import { toSetting } from "./settings";
import { listJudgedStates, type Turn, takeTurns } from "./turns";

/** How a pump comes to run dry or against a shut line, with the fewest wrong turns from any working state. */
export type PumpTurns = {
  readonly kind: "runsDry" | "deadHead";
  readonly gearId: string;
  readonly stateId: string;
  readonly turns: readonly Turn[];
};

/** More hands at once than this are not tried. */
export const MOST_TURNS = 3;

/**
 * Of each pump the fewest turns of valves, three-way valves, taps and its own switch after which it runs dry or pumps
 * against a shut line, over all working states, up to three turns; fewer first. A piece that fails so is the same as one
 * that is turned so. Pumps that bear it, by their data, are left out. Every set of turns is tried [C].
 */
export function findPumpTurns(design: Design): PumpTurns[] {
  const graph = buildGearGraph(design);
  const states = listJudgedStates(design);
  const best = new Map<string, PumpTurns>();
  for (const state of states) {
    const movers = design.gear.flatMap((piece) => toTurn(piece, state));
    for (const turns of listSets(movers)) {
      const setting = toSetting(takeTurns(design.gear, state, turns));
      for (const { kind, gearId } of listPumpHazards(graph, buildArcs(graph, setting), design.gear, setting)) {
        if (kind !== "runsDry" && kind !== "deadHead") continue;
        const key = [kind, gearId].join("|");
        const known = best.get(key);
        if (!known || turns.length < known.turns.length)
          best.set(key, { kind, gearId: gearId!, stateId: state.id, turns });
      }
    }
  }
  return [...best.values()].sort((a, b) => a.turns.length - b.turns.length);
}

// What a hand can do to a piece that takes water away from a pump, or sets it going.
function toTurn(piece: Gear, state: WorkingState): Turn[] {
  const setting = toSetting(state);
  const to = (at: Position | "on"): Turn[] => [{ gearId: piece.id, to: at }];
  switch (piece.spec.kind) {
    case "valve":
      return setting.positionOf(piece) === "open" ? to("shut") : [];
    case "diverter":
      return to(setting.positionOf(piece) === "a" ? "b" : "a");
    case "tap":
    case "coupling":
      return setting.isTapOpen(piece.id) ? to("shut") : [];
    case "pump":
      return setting.isOn(piece.id) ? [] : to("on");
    default:
      return [];
  }
}

// Every set of turns, the smallest first.
function* listSets(movers: readonly Turn[]): Generator<readonly Turn[]> {
  for (let size = 0; size <= MOST_TURNS; size++) yield* listSetsOf(movers, size, 0);
}

function* listSetsOf(movers: readonly Turn[], size: number, from: number): Generator<readonly Turn[]> {
  if (size === 0) {
    yield [];
    return;
  }
  for (let i = from; i <= movers.length - size; i++) {
    for (const rest of listSetsOf(movers, size - 1, i + 1)) yield [movers[i]!, ...rest];
  }
}
