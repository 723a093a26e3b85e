import { createStore } from "zustand/vanilla";
import { type Attitude, LEVEL } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import { applyEdit } from "@/core/design/edit";
import type { Edit } from "@/core/design/editOps";
import type { Fault } from "@/core/design/faults";
import type { Evaluation } from "@/core/evaluate/evaluation";
import { evaluate } from "@/core/evaluate/judge";
import { clamp } from "@/core/quantity/tolerance";
import * as WORDS from "@/words/notices/workbench";
import { evaluateLevel } from "./canEvaluate";
import { canBeTold, isReadyFor } from "./fitted";
import { type History, pushStep, redoStep, startHistory, undoStep } from "./history";
import type { Notice, Region, SaveState, WorkbenchState } from "./state";

export type ChangeOutcome = { readonly ok: true } | { readonly ok: false; readonly faults: readonly Fault[] };

const INITIAL: WorkbenchState = {
  phase: "loading",
  history: null,
  evaluation: null,
  attitude: LEVEL,
  fillShare: 0.5,
  selection: null,
  group: [],
  tool: null,
  drawFallMmPerM: null,
  wantedDays: null,
  loopView: { stateId: null, way: null },
  roadView: "now",
  findingId: null,
  drainId: null,
  fixtureId: null,
  tankId: null,
  ventId: null,
  exaggeration: null,
  overlay: null,
  preview: null,
  pour: null,
  station: "falls",
  pane: "section",
  look: "above",
  units: "metric",
  theme: "light",
  save: "saved",
  library: [],
  bin: [],
  notice: null,
  said: "",
  dragBase: null,
  dragFrom: null,
};

/** The one store of the interface: the open design, how it is looked at, and what it evaluates to. */
export const workbench = createStore<WorkbenchState>()(() => INITIAL);

const { getState, setState } = workbench;

/** Opens a design, or goes on with one and its way back; the rig stands level. */
export function loadDesign(opened: Design | History, save: SaveState = "saved"): void {
  const history = "past" in opened ? opened : startHistory(opened);
  setState({
    phase: "ready",
    history,
    evaluation: evaluateLevel(history.design),
    attitude: LEVEL,
    selection: null,
    group: [],
    tool: null,
    findingId: null,
    drainId: null,
    fixtureId: null,
    tankId: null,
    ventId: null,
    wantedDays: null,
    loopView: { stateId: null, way: null },
    preview: null,
    pour: null,
    dragBase: null,
    dragFrom: null,
    save,
  });
}

/** Applies an edit as one undoable step, or says why not; a refused edit changes nothing. */
export function change(edit: Edit): ChangeOutcome {
  const { history, attitude } = getState();
  if (!history) return { ok: false, faults: [] };
  const outcome = applyEdit(history.design, edit);
  if (!outcome.ok) return outcome;
  if (!canBeTold(outcome.design)) {
    // the first piece of an area whose checks are still on their way: made as soon as they are here
    void isReadyFor(outcome.design).then((isReady) => (isReady ? change(edit) : tellNotFetched(outcome.design.name)));
    return outcome;
  }
  const evaluation = evaluateSafely(outcome.design, attitude);
  if (!evaluation) return { ok: false, faults: [] };
  setState({
    history: pushStep(history, outcome.design, edit),
    evaluation,
    preview: null,
    save: "unsaved",
    // what is hung stands on the stage
    ...(edit.code === "addTank" && edit.at.kind === "tank" ? { tankId: edit.at.id } : {}),
  });
  return { ok: true };
}

// An edit whose outcome cannot be worked out is not made: the screen never shows a design without its figures.
function evaluateSafely(design: Design, attitude: Attitude): Evaluation | null {
  try {
    return evaluate(design, attitude);
  } catch {
    tell(WORDS.thatCouldNotBeWorked, {
      tone: "warning",
    });
    return null;
  }
}

/** Remembers where a drag began, and in which region; the moves until `endDrag` are one step. */
export function beginDrag(dragFrom: Region | null): void {
  const { history } = getState();
  if (history) setState({ dragBase: history.design, dragFrom, preview: null });
}

/** Shows the design as dragged; a move that is not allowed is left out and the last good one stays. */
export function drag(edit: Edit | null): void {
  const { history, dragBase, attitude } = getState();
  if (!history || !dragBase) return;
  const outcome = edit ? applyEdit(dragBase, edit) : ({ ok: true, design: dragBase } as const);
  const evaluation = outcome.ok ? evaluateSafely(outcome.design, attitude) : null;
  if (!outcome.ok || !evaluation) return;
  setState({ history: { ...history, design: outcome.design }, evaluation });
}

/** Ends a drag as one undoable step; null calls it off. */
export function endDrag(edit: Edit | null): void {
  const { history, dragBase, attitude } = getState();
  if (!history || !dragBase) return;
  const base = { ...history, design: dragBase };
  if (history.design !== dragBase && edit !== null) {
    setState({ dragBase: null, dragFrom: null, history: pushStep(base, history.design, edit), save: "unsaved" });
    return;
  }
  // let go where it began, or called off: back to where it was
  setState({ dragBase: null, dragFrom: null, history: base, evaluation: evaluate(dragBase, attitude) });
}

function stepTo(history: WorkbenchState["history"]): void {
  if (!history || history === getState().history) return;
  setState({
    history,
    evaluation: evaluate(history.design, getState().attitude),
    preview: null,
    save: "unsaved",
    selection: null,
  });
}

export const undo = (): void => stepTo(mapHistory(undoStep));
export const redo = (): void => stepTo(mapHistory(redoStep));

const mapHistory = (step: typeof undoStep) => {
  const { history, dragBase } = getState();
  return history && !dragBase ? step(history) : null;
};

/** Tilts the rig; the bubble ends at 20°, as the schema does. */
export function tilt(attitude: Attitude): void {
  const { history } = getState();
  const held = { pitchDeg: holdAngle(attitude.pitchDeg), rollDeg: holdAngle(attitude.rollDeg) };
  if (history) setState({ attitude: held, evaluation: evaluate(history.design, held), preview: null });
}

const holdAngle = (angle: number): number => clamp(Math.round(angle * 10) / 10, -20, 20) + 0;

/** Tries an edit on a copy and shows it; null drops what was shown. */
export function previewEdit(edit: Edit | null): void {
  const { history, attitude } = getState();
  if (!history || !edit) {
    setState({ preview: null });
    return;
  }
  const outcome = applyEdit(history.design, edit);
  if (!outcome.ok || !canBeTold(outcome.design)) return;
  setState({ preview: { edit, design: outcome.design, evaluation: evaluate(outcome.design, attitude) } });
}

export type ViewChange = Partial<
  Pick<
    WorkbenchState,
    | "station"
    | "pane"
    | "look"
    | "units"
    | "theme"
    | "selection"
    | "group"
    | "tool"
    | "drawFallMmPerM"
    | "loopView"
    | "roadView"
    | "wantedDays"
    | "fillShare"
    | "findingId"
    | "drainId"
    | "fixtureId"
    | "tankId"
    | "ventId"
    | "exaggeration"
    | "overlay"
    | "pour"
  >
>;

export const view = (viewChange: ViewChange): void => setState(viewChange);

let notices = 0;

/** Tells the builder something; it stays until it is read away or replaced. */
export function tell(text: string, options: Partial<Pick<Notice, "tone" | "action">> = {}): void {
  notices += 1;
  setState({ notice: { id: notices, text, tone: options.tone ?? "plain", action: options.action ?? null } });
}

/** What judges a design is not on this machine and cannot be fetched. */
export const tellNotFetched = (name: string): void => tell(WORDS.whatNeedsCouldNotBe(name), { tone: "warning" });

/** Says something to those who do not see the drawing. */
export const say = (said: string): void => setState({ said });

export const dismissNotice = (): void => setState({ notice: null });
