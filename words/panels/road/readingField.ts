import type { Shown } from "../../shown";

export const thatIsMoreThanIt = "That is more than it holds. Read it again, standing level.";
export const theGaugeHasNoSuch = "The gauge has no such mark.";
export const typeHowDeepTheStick = (units: Shown) =>
  `Type how deep the stick is wet, ${units}, no deeper than the tank.`;
export const typeWhatYouReadSuch = (what: Shown) => `Type what you read, such as ${what}.`;
export const howIsRead = (name: Shown) => `How ${name} is read`;
export const markTheGaugeOfShows = (name: Shown) => `Mark the gauge of ${name} shows`;
export const of = (i: Shown, length: Shown, hereL: Shown) => `${i} of ${length}: ${hereL}`;
export const howDeepTheStickIs = (name: Shown) => `How deep the stick is wet in ${name}`;
export const litresReadOf = (name: Shown) => `Litres read of ${name}`;
export const gal = "gal";
export const writeReading = "Write reading";
