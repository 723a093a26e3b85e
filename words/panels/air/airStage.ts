import type { Shown } from "../../shown";

export const theBreather = "The breather";
export const noBreatherYetFitOne = (side: Shown) =>
  `No breather yet. Fit one ${side}: a tank without air gurgles, and sucks its traps dry.`;
export const breatherShown = "Breather shown";
export const dumpingSucks = "Dumping sucks";
export const suctionWhileDumping = "Suction while dumping";
export const theWeakestTrapIsPulled = "the weakest trap is pulled through";
export const theWeakestTrapKeepsOf = (sealAfterMm: Shown) => `the weakest trap keeps ${sealAfterMm} of seal`;
export const giveTheTankADump = "Give the tank a dump outlet: then what its breather takes is worked out.";
export const unrolledFromItsTankTo = (name: Shown) => `${name} unrolled from its tank to the open air`;
export const move = (what: Shown) => `Move ${what}`;
export const underTheFloor = "Under the floor";
export const waterAtFull = "Water at full";
export const fullStandingAtTheWorst = "Full, standing at the worst";
export const sags = (dipMm: Shown) => `sags ${dipMm}`;
export const tee = "tee";
export const openEndOverFull = (h: Shown) => `open end, ${h} over full`;
export const tank = "tank";
export const pressureAlongItWholeLine =
  "Pressure along it: whole line sucked while dumping, broken line pushed while filling";
