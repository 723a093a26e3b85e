import type { Shown } from "../../shown";

export const days = "Days";
export const lineHalfOfAllStays =
  "Line: half of all stays are below it. Band: four in five lie in it. Red: full, or gone, as the rig stands.";
export const levelsOverTheDays = "Levels over the days";
export const nothingFillsOrEmptiesYet = (side: Shown) =>
  `Nothing fills or empties yet. Add uses ${side}, and say which fixture each goes down.`;
export const wishedReachedWhatIsMissing = (wanted: Shown, days: Shown) =>
  `${wanted} wished, ${days} reached. What is missing stands under “Longer”.`;
export const wishedOnTheMeanIt = (wanted: Shown, days: Shown) => `${wanted} wished; on the mean it lasts ${days}.`;
