import type { Design } from "@/core/design/design";
import type { Edit } from "@/core/design/editOps";

/** One step back: the design before an edit, and the edit that led away from it. */
export type Step = { readonly before: Design; readonly edit: Edit };

/** The open design with the way back and the way forward. */
export type History = {
  readonly design: Design;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
};

/** Steps kept; designs share what did not change, so a step costs little. */
const MOST_STEPS = 300;

export const startHistory = (design: Design): History => ({ design, past: [], future: [] });

export function pushStep(history: History, after: Design, edit: Edit): History {
  const past = [...history.past, { before: history.design, edit }].slice(-MOST_STEPS);
  return { design: after, past, future: [] };
}

export function undoStep(history: History): History {
  const step = history.past[history.past.length - 1];
  if (!step) return history;
  return {
    design: step.before,
    past: history.past.slice(0, -1),
    future: [{ before: history.design, edit: step.edit }, ...history.future],
  };
}

export function redoStep(history: History): History {
  const [step, ...future] = history.future;
  if (!step) return history;
  return { design: step.before, past: [...history.past, { before: history.design, edit: step.edit }], future };
}
