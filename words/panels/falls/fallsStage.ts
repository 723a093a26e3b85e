export const theVerdict = "The verdict";
export const theLongSection = "The long section";
export const thePour = "The pour";
export const theFallBudget = "The fall budget";
