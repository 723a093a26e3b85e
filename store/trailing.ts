import { createStore } from "zustand/vanilla";
import type { WorkbenchState } from "./state";
import { workbench } from "./workbench";

/** How far the lists may lag behind the hand, ms: below what a reader of figures can notice. */
const LAG_MS = 90;

/**
 * The workbench as the lists beside the drawings see it. At rest it is the same; while something is pulled it follows
 * a little later and only with the last state, so that the drawings never wait for a list.
 */
export const trailing = createStore<WorkbenchState>()(workbench.getState);

let timer: ReturnType<typeof setTimeout> | null = null;

function catchUp(): void {
  if (timer !== null) clearTimeout(timer);
  timer = null;
  trailing.setState(workbench.getState(), true);
}

workbench.subscribe(({ dragBase }) => {
  if (dragBase === null) catchUp();
  else timer ??= setTimeout(catchUp, LAG_MS);
});
