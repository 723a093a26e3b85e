import type { Shown } from "../../shown";

export const sizesWeighedByDays = "Sizes weighed by days";
export const whatEachLitreBringsAnd = "What each litre brings, and what bounds it";
export const daysAgainstLitres = (name: Shown) => `${name}: days against litres`;
export const onTheMean = "On the mean";
export const sureFor = "Sure for";
export const tryAnotherSize = (name: Shown) => `${name}: try another size`;
export const ofRoom = "of room:";
export const noEnd = "no end";
export const onTheMean2 = "on the mean";
export const sureForTimesIn100 = (sureDays: Shown, certainty: Shown) =>
  `; sure for ${sureDays}, ${certainty} times in 100`;
export const moreBringsDays = (what: Shown, perLitre: Shown) => `${what} more brings ${perLitre} days. `;
export const longerInItsPlaceIt = (fitsL: Shown) => `Longer in its place it fits up to ${fitsL}. `;
export const longerDoesNotFitWhere = "Longer does not fit where it sits. ";
export const anAxleIsAtIts = (axleL: Shown) => `An axle is at its limit with ${axleL}. `;
export const dashedWhatHoldsWithThe = ". Dashed: what holds with the certainty you chose.";
