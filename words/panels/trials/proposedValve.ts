import type { Shown } from "../../shown";

export const stopValveIn = (name: Shown) => `Stop valve in ${name}`;
export const aStopValveIn = "A stop valve in";
export const wouldPartTheSearch = "would part the search:";
export const ofItLiesBehind = "% of it lies behind.";
export const putOneIn = "Put one in";
