import type { Shown } from "../../shown";

export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const holeSaws = "Hole saws";
export const putInTheSawsYou = "Put in the saws you have: what they cut then needs no other.";
export const sawsInYourBox = "Saws in your box";
export const takeItOutOfThe = "Take it out of the box";
export const takeTheSawOutOf = (saw: Shown) => `Take the ${saw} saw out of the box`;
export const putOneIn = "Put one in";
export const yourSawsCutEveryHole = "Your saws cut every hole.";
export const toBuy = "To buy:";
export const forIt = "for";
export const whatASawCostsIs = "What a saw costs is put in with its price, under Build, parts.";
