import type { Shown } from "../../shown";

export const theDrainIsLaidAnew = "The drain is laid anew.";
export const aWayToTheTank = "A way to the tank";
export const lookingForWays = "Looking for ways";
export const findWaysUnderTheFloor = "Find ways under the floor";
export const foundInMs = (tookMs: Shown) => `Found in ${tookMs} ms`;
export const inHand = "In hand";
export const level = "level,";
export const atTheWorst = "at the worst.";
export const youdRegret = (shoulds: Shown) => ` ${shoulds} you'd regret.`;
export const of = "Of";
export const ofHeightTheTrapTakes = "of height the trap takes";
export const drops = ", drops";
export const theRunsAskFor = ", the runs ask for";
export const toBuyPipeWithA = "To buy, pipe with a tenth over for cutting:";
export const partsOfThisWay = "Parts of this way";
export const useThisRoute = "Use this route";
export const cancel = "Cancel";
