import type { Gear, Position, WorkingState } from "../design/gear";

/** One thing turned by a hand, away from how it stands in a working state. */
export type Turn = { readonly gearId: string; readonly to: Position | "on" };

/** How everything stands where the design names no state. */
export const AT_REST: WorkingState = { id: "", name: "", on: [], positions: [], openTaps: [] };

/** The states a design is judged in: its own, or all at rest where it names none. */
export const listJudgedStates = ({ states }: { readonly states: readonly WorkingState[] }): readonly WorkingState[] =>
  states.length > 0 ? states : [AT_REST];

/** A working state after some things were turned. */
export function takeTurns(gear: readonly Gear[], state: WorkingState, turns: readonly Turn[]): WorkingState {
  const isTurned = (id: string) => turns.some(({ gearId }) => gearId === id);
  const isTap = (id: string) => {
    const kind = gear.find((piece) => piece.id === id)?.spec.kind;
    return kind === "tap" || kind === "coupling";
  };
  return {
    ...state,
    on: [...state.on, ...turns.flatMap(({ gearId, to }) => (to === "on" ? [gearId] : []))],
    openTaps: [
      ...state.openTaps.filter((id) => !isTurned(id)),
      ...turns.flatMap(({ gearId, to }) => (to === "open" && isTap(gearId) ? [gearId] : [])),
    ],
    positions: [
      ...state.positions.filter(({ gearId }) => !isTurned(gearId)),
      ...turns.flatMap(({ gearId, to }) => (to === "on" || isTap(gearId) ? [] : [{ gearId, at: to }])),
    ],
  };
}
