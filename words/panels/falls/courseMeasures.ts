import type { Shown } from "../../shown";

export const fallOfEachLeg = "Fall of each leg";
export const evenBetweenTheEnds = "Even between the ends";
export const leg = (index: Shown, lengthMm: Shown) => `Leg ${index}, ${lengthMm}`;
export const drop = "drop";
export const bothItsEndsAreHeld = "Both its ends are held. Move the fixture, the tank or the junction.";
export const typedTheLowerEndMoves =
  "Typed, the lower end moves and takes what follows along; on the last leg the upper end.";
export const samePipeGoesOn = "Same pipe goes on";
export const bendsInverts = "Bends, inverts";
export const fromBendOn = (picked: Shown) => `From bend ${picked} on`;
export const sitsThere = "Sits there";
export const joinedByA = "Joined by a";
export const to = "to";
export const aUnionHereToTake = "A union here, to take it apart";
export const bend = (index: Shown, which: Shown) => `Bend ${index}${which}`;
export const atBend = (index: Shown) => `At bend ${index}`;
export const runningTrapInTheLine = "Running trap in the line";
export const where = "Where";
export const seal = "Seal";
export const canBeOpenedAndCleaned = "Can be opened and cleaned where it sits";
export const inTheLineItServes =
  "In the line it serves every fixture that drains through it, which then has none of its own.";
export const nothing = "Nothing";
export const asBefore = "as before";
export const none = "None";
