import type { Design } from "../design/design";
import type { WorkingState } from "../design/gear";
import { buildGearGraph, type GearGraph } from "./gearGraph";
import { toSetting } from "./settings";
import { type FlowResult, solveFlows } from "./solveFlows";

export type TapFlow = {
  readonly tapId: string;
  /** The state it was opened in. */
  readonly stateId: string;
  /** L/min by itself, and with every other tap open too. */
  readonly aloneLpm: number;
  readonly togetherLpm: number;
};

/** What comes out of one tap in a state, L/min, with every other tap shut; the state opens what else it opens. */
export function solveTapLpm(design: Design, graph: GearGraph, state: WorkingState, tapId: string): number {
  const isTap = (id: string) => design.gear.some((piece) => piece.id === id && piece.spec.kind === "tap");
  const openTaps = [...state.openTaps.filter((id) => !isTap(id)), tapId];
  return readTap(solveFlows(design, graph, toSetting({ ...state, openTaps })), tapId);
}

const readTap = ({ ends }: FlowResult, tapId: string): number =>
  Math.max(0, ends.find(({ node }) => node === `${tapId}:in`)?.lpm ?? 0);

/**
 * What comes out of each tap alone and when all are open at once, L/min: in the state in which it is open, or else in the
 * one in which most has power. Source: the flows of each state, solved [C].
 */
export function computeTapFlows(design: Design): TapFlow[] {
  const taps = design.gear.flatMap(({ id, spec }) => (spec.kind === "tap" ? [id] : []));
  if (taps.length === 0 || design.states.length === 0) return [];
  const graph = buildGearGraph(design);
  const solve = (state: WorkingState, openTaps: readonly string[]) =>
    solveFlows(design, graph, toSetting({ ...state, openTaps: [...openTaps] }));
  const liveliest = design.states.reduce((a, b) => (b.on.length > a.on.length ? b : a));
  const together = new Map<string, ReturnType<typeof solve>>();
  return taps.map((tapId) => {
    const state = design.states.find(({ openTaps }) => openTaps.includes(tapId)) ?? liveliest;
    const others = state.openTaps.filter((id) => !taps.includes(id));
    if (!together.has(state.id)) together.set(state.id, solve(state, [...others, ...taps]));
    return {
      tapId,
      stateId: state.id,
      aloneLpm: solveTapLpm(design, graph, state, tapId),
      togetherLpm: readTap(together.get(state.id)!, tapId),
    };
  });
}
