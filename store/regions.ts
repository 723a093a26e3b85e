import { createStore, type StoreApi } from "zustand/vanilla";
import { REGIONS, type Region, type WorkbenchState } from "./state";
import { workbench } from "./workbench";

/** The hand rests when nothing has moved for so long, ms; then the regions catch up one by one. */
const REST_MS = 40;

const createRegion = (): StoreApi<WorkbenchState> => createStore<WorkbenchState>()(workbench.getState);

/**
 * The workbench as each region of the screen sees it. At rest all see the same. While something is pulled the region
 * under the hand follows every move, and with each move one of the others catches up in turn, so that no frame has to
 * draw the whole screen. Each region shows one state, never parts of two.
 */
export const regions: Readonly<Record<Region, StoreApi<WorkbenchState>>> = {
  level: createRegion(),
  section: createRegion(),
  strip: createRegion(),
  plan: createRegion(),
  findings: createRegion(),
  measures: createRegion(),
};

let timer: ReturnType<typeof setTimeout> | null = null;
let turn = 0;

const catchUp = (region: Region): void => regions[region].setState(workbench.getState(), true);

const isBehind = (region: Region): boolean => regions[region].getState() !== workbench.getState();

function catchUpNext(): void {
  for (let i = 1; i <= REGIONS.length; i++) {
    const at = (turn + i) % REGIONS.length;
    if (!isBehind(REGIONS[at]!)) continue;
    turn = at;
    catchUp(REGIONS[at]!);
    return;
  }
}

function waitForRest(): void {
  timer = setTimeout(() => {
    catchUpNext();
    if (REGIONS.some(isBehind)) waitForRest();
  }, REST_MS);
}

workbench.subscribe(({ dragFrom }) => {
  if (timer !== null) clearTimeout(timer);
  timer = null;
  if (dragFrom === null) {
    for (const region of REGIONS) catchUp(region);
    return;
  }
  catchUp(dragFrom);
  catchUpNext();
  waitForRest();
});
