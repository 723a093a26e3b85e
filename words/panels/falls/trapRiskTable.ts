import type { Shown } from "../../shown";

export const brakingItLiesAlongThe = "Braking: it lies along the rig";
export const corneringItLiesAcrossThe = "Cornering: it lies across the rig";
export const thePipeBehindItRuns = "The pipe behind it runs full";
export const sealLeftAfterThePipe = "Seal left after the pipe ran full";
export const sealLeftAfterDriving = "Seal left after driving";
export const theDumpValveOpens = "The dump valve opens";
export const sealLeftAfterDumping = "Seal left after dumping";
export const theTankFills = "The tank fills";
export const sealWhileTheTankFills = "Seal while the tank fills";
export const standingUnusedDryIn = "Standing unused, dry in";
export const untilTheTrapIsDry = "Until the trap is dry";
export const atFrozenFrom = (lookUpValue: Shown) => `At ${lookUpValue}, frozen from`;
export const untilTheTrapFreezes = "Until the trap freezes";
export const whatEachCauseLeavesOf = "What each cause leaves of the seal";
export const togetherParkedAskewAWeek = "Together: parked askew, a week unused, dumped";
export const brokenThrough = "broken through";
export const aStationPumpsTheTank = "A station pumps the tank out";
export const onARoadThatKeepsTime = (beat: Shown) =>
  `Washboard that keeps time with its water, a bump every ${beat}: twice that push. Too seldom to be judged by`;
