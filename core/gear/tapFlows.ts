import type { Design } from "../design/design";
import type { WorkingState } from "../design/gear";
import { buildGearGraph } from "./gearGraph";
import { toSetting } from "./settings";
import { solveFlows } from "./solveFlows";

export type TapFlow = {
  readonly tapId: string;
  /** The state it was opened in. */
  readonly stateId: string;
  /** L/min by itself, and with every other tap open too. */
  readonly aloneLpm: number;
  readonly togetherLpm: number;
};

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
    const read = (flows: ReturnType<typeof solve>) =>
      Math.max(0, flows.ends.find(({ node }) => node === `${tapId}:in`)?.lpm ?? 0);
    return {
      tapId,
      stateId: state.id,
      aloneLpm: read(solve(state, [...others, tapId])),
      togetherLpm: read(together.get(state.id)!),
    };
  });
}
