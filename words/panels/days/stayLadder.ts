import type { Shown } from "../../shown";

export const wholeDaysFrom1To = "Whole days from 1 to 60.";
export const longer = "Longer";
export const iWantToStay = "I want to stay";
export const thatHoldsAsWished = "That holds, as wished.";
export const eachByItselfStandingLevel = "Each by itself, standing level, on the mean:";
export const doIt = (text: Shown) => `Do it: ${text}`;
export const doIt2 = "Do it";
export const aLargerTankGrowsTo =
  "A larger tank grows to the rear: look at what is there. Other ways may be better still.";
export const undo = "Undo";
export const isDone = (text: string) => `${text}: done.`;
