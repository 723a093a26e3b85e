import type { Shown } from "../../shown";

export const fixing = "Fixing";
export const heldBy = "Held by";
export const notWorkedOut = "Not worked out";
export const boltsSitIn = "Bolts sit in";
export const boltsClass88 = "Bolts, class 8.8";
export const ofSize = "Of size";
export const plateBehindEachBolt = "Plate behind each bolt";
export const ratedAgainstPullingOut = "Rated against pulling out";
export const whatOneRivetNutLug = "What one rivet nut, lug or screwed place bears, from its data sheet.";
export const ratedInShear = "Rated in shear";
export const theSameSideways = "The same sideways.";
export const safetyFactorOnRatings = "Safety factor on ratings";
export const oneStrapOrJBolt = "One strap or J-bolt bears";
export const fromItsDataSheetEach = "From its data sheet. Each hangs on two of the bolts.";
export const endStopBeforeAndBehind = "End stop before and behind";
export const crashAsForA = "Crash as for a";
export const whatEachLoadTakesOf = "What each load takes of the fixing";
export const fullTank = "full tank";
export const shear = "shear";
export const pull = "pull";
export const takes = "takes";
export const ofWhatTheySitIn = " of what they sit in";
export const ofAStrap = " of a strap";
export const allBoltsStandInOne = "All bolts stand in one line: nothing holds the tank across it. Spread them.";
export const onTheBoltThatBears =
  "On the bolt that bears most, where each bolt stands: weight, push and the turning over with it, all at once.";
export const theLoadsOfASeaway =
  "The loads of a seaway are common practice, no published figures: have it looked at by a surveyor.";
export const haveAFixingThatMust = "Have a fixing that must bear a crash looked at by someone licensed to.";
export const whatTheWorstLoadTakes = "What the worst load takes of a bolt";
export const ofABolt = "of a bolt";
export const whatItSitsInHas = "; what it sits in has no rating yet.";
export const and = " and ";
export const whatTheWorstLoadTakes2 = "What the worst load takes of what a bolt sits in";
export const ofWhatItSitsIn = " of what it sits in.";
export const inWhatOrderItGoes = (which: Shown) => `In what order it goes ${which}`;
