import { createStore, type StoreApi } from "zustand/vanilla";
import { REGIONS, type Region, type WorkbenchState } from "./state";
import { workbench } from "./workbench";

/** What is read while a part is pulled: the first to catch up. */
const WATCHED: readonly Region[] = REGIONS.filter((region) => region !== "measures");

/** The fields are many and nobody types while pulling: they have a turn after so many of the others. */
const FIELDS_EVERY = 24;

/** The hand rests when nothing has moved for so long, ms; then the regions catch up one by one. */
const REST_MS = 40;

const createRegion = (): StoreApi<WorkbenchState> => createStore<WorkbenchState>()(workbench.getState);

/**
 * The workbench as each region of the screen sees it. At rest all see the same. While something is pulled the region
 * under the hand follows every move, and with each move one of the others catches up in turn, the fields now and then, so
 * that no frame has to draw the whole screen. Each region shows one state, never parts of two.
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
let moves = 0;

const catchUp = (region: Region): void => regions[region].setState(workbench.getState(), true);

const isBehind = (region: Region): boolean => regions[region].getState() !== workbench.getState();

function catchUpNext(): boolean {
  for (let i = 1; i <= WATCHED.length; i++) {
    const at = (turn + i) % WATCHED.length;
    if (!isBehind(WATCHED[at]!)) continue;
    turn = at;
    catchUp(WATCHED[at]!);
    return true;
  }
  return false;
}

function waitForRest(): void {
  timer = setTimeout(() => {
    if (!catchUpNext()) catchUp("measures");
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
  moves += 1;
  if (moves % FIELDS_EVERY === 0 && isBehind("measures")) catchUp("measures");
  else catchUpNext();
  waitForRest();
});
